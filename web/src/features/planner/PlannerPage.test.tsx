// @vitest-environment jsdom
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it } from 'vitest';
import { serve, show } from '../../testing/room';
import { PlannerPage } from './PlannerPage';

const OPTION = {
  key: 'c_t', label: 'Titrant', kind: 'number', default: '0.1000', limit: '0.0005', unit: 'mol/L', help: '', low: '0',
  high: '', choices: [], group: 'how', when: {}, symbol: 'c', limit_label: 'Titrant concentration',
}; // prettier-ignore
const FLASK = {
  ...OPTION,
  key: 'V_flask',
  label: 'Flask',
  when: { way: ['diluted'] },
  limit: '',
  limit_label: '',
};
const METHOD = {
  card: { slug: 'acid-base', title: 'Acid and base', family: 'titration' },
  options: [OPTION, FLASK],
  roles: [{ key: 'burette', label: 'Burette', kinds: ['burette'], default: 'burette-25', several: false }],
  quantities: [{ key: 'c_s', label: 'Concentration', unit: 'mol/L', accepted: true }],
  questions: ['Why rinse?'],
};
const PREDICTION = {
  options: { c_t: '0.1000', 'c_t.limit': '0.0005', way: 'plain' },
  parts: [{ key: 'V', role: 'burette', label: 'Burette' }],
  supplies: { targets: [], supplies: [] },
  timetables: [],
  result: '', relative: '', advice: '', sentence: '', warnings: [], off_range: [], cures: [], basis: '', budget: [], lines: [],
}; // prettier-ignore
const SERVER = {
  'GET /api/methods': [{ slug: 'acid-base', title: 'Acid and base', family: 'titration' }],
  'GET /api/sections': [
    { id: 4, name: 'Monday', students: 16, mine: true, archived: false },
    { id: 5, name: 'Tuesday', students: 12, mine: true, archived: false },
    { id: 6, name: 'Not mine', students: 9, mine: false, archived: false },
  ],
  'GET /api/methods/acid-base': METHOD,
  'GET /api/stock': { solutions: [], instruments: [] },
  'GET /api/instruments': [{ slug: 'burette-25', kind: 'burette', short: 'Burette 25 mL' }],
  'POST /api/predict': PREDICTION,
  'GET /api/sessions': [],
};
const saved = (asked: ReturnType<typeof serve>) =>
  asked.find((asked) => asked.method === 'POST' && asked.path === '/api/sessions')?.body;
const title = () => screen.findByRole('textbox', { name: /Title, as the class/ });

describe('the planner', () => {
  afterEach(cleanup);

  it('offers what the method asks for under these choices, and one’s own sections', async () => {
    serve(SERVER);
    show(<PlannerPage />, '/plan?method=acid-base');
    await title();
    expect(await screen.findByRole('textbox', { name: /Titrant/ })).toBeTruthy();
    await waitFor(() => expect(screen.queryByRole('textbox', { name: /Flask/ })).toBeNull());
    await userEvent.click(screen.getByRole('combobox', { name: 'Section' }));
    expect(screen.getAllByRole('option').map((item) => item.textContent)).toEqual([
      'Monday, 16 students',
      'Tuesday, 12 students',
    ]);
  });

  it('takes over in one touch what would help most, and what makes the turns fit', async () => {
    const better = {
      what: 'Burette', instead: 'Burette 50 mL, class A', percent: 0.4, text: '± 0.40 %', cost: 'another instrument',
      options: {}, instruments: { burette: 'burette-50' },
    }; // prettier-ignore
    const asked = serve({
      ...SERVER,
      'POST /api/predict': {
        ...PREDICTION, result: 'Concentration', relative: '± 0.90 %',
        timetables: [{ label: 'Bath', minutes: 150, least: 150, longest_wait: 0, lanes: [], orders: [], sentence: '', meanwhile: '' }],
        cures: [{ text: 'one bath more: 90 minutes', options: { baths: '3' }, instruments: {} }],
      },
      'POST /api/foresee': { alternatives: [better], improvement: 'What would help most', before_class: [], recipes: [] },
      'POST /api/sessions': { card: { id: 12 } },
    }); // prettier-ignore
    show(<PlannerPage />, '/plan?method=acid-base');
    await userEvent.click(await screen.findByRole('button', { name: /Take it: Burette/ }));
    await userEvent.click(await screen.findByRole('button', { name: /Take it: one bath more/ }));
    await userEvent.click(screen.getByRole('button', { name: 'Save the plan' }));
    await waitFor(() => expect(saved(asked)).toBeTruthy());
    expect(saved(asked)).toMatchObject({ options: { baths: '3' }, instruments: { burette: 'burette-50' } });
  });

  it('saves the plan as it was chosen, without what was left as the method has it', async () => {
    const asked = serve({ ...SERVER, 'POST /api/sessions': { card: { id: 12 } } });
    show(<PlannerPage />, '/plan?method=acid-base');
    await userEvent.click(await title());
    await userEvent.paste(' Which sample is stronger? ');
    const benches = screen.getByRole('spinbutton', { name: /Benches/ });
    await userEvent.clear(benches);
    await userEvent.type(benches, '6');
    await userEvent.click(screen.getByRole('button', { name: 'Save the plan' }));
    await waitFor(() => expect(saved(asked)).toBeTruthy());
    expect(saved(asked)).toMatchObject({
      method: 'acid-base', section: 4, guests: [], title: 'Which sample is stronger?', benches: 6, minutes: 120,
      options: {}, instruments: {}, questions: [], samples: [],
    }); // prettier-ignore
  });

  it('is called as its experiment where nobody writes a title', async () => {
    const asked = serve({ ...SERVER, 'POST /api/sessions': { card: { id: 12 } } });
    show(<PlannerPage />, '/plan?method=acid-base');
    await title();
    await userEvent.click(screen.getByRole('button', { name: 'Save the plan' }));
    await waitFor(() => expect(saved(asked)).toBeTruthy());
    expect(saved(asked)).toMatchObject({ title: 'Acid and base' });
  });

  it('goes on with an earlier session, all numbers of a line at once', async () => {
    const line = ['a_line', 'b_line'].map((option) => ({
      option, label: option, unit: '', usual: `found ${option}`,
      offered: [{ key: `found ${option}`, trial: null, label: 'Slope', unit: '' }],
    })); // prettier-ignore
    const taking = { option: 'c_t', label: 'Titrant', unit: 'mol/L', usual: '', offered: [{ key: 'c', trial: 2, label: 'Second', unit: 'mol/L' }] }; // prettier-ignore
    const asked = serve({
      ...SERVER,
      'GET /api/sessions': [
        { id: 7, title: 'Standards', state: 'closed', starts_at: '2026-03-02T09:00:00Z' },
      ],
      'POST /api/sessions/7/takings': [...line, taking],
      'POST /api/sessions': { card: { id: 12 } },
    });
    show(<PlannerPage />, '/plan?method=acid-base');
    const choose = async (field: RegExp, way: RegExp) => {
      await userEvent.click(await screen.findByRole('combobox', { name: field }));
      await userEvent.click(await screen.findByRole('option', { name: way }));
    };
    await userEvent.click(await screen.findByText('Parts of one piece of work'));
    await choose(/Goes on with/, /Standards/);
    await choose(/The line that is given/, /mean of the class/);
    await choose(/^Titrant$/, /Second, each bench’s own/);
    await userEvent.click(screen.getByRole('button', { name: 'Save the plan' }));
    await waitFor(() => expect(saved(asked)).toBeTruthy());
    expect(saved(asked)).toMatchObject({
      follows: 7,
      takes: {
        a_line: { key: 'found a_line', trial: null, of: 'class' },
        b_line: { key: 'found b_line', trial: null, of: 'class' },
        c_t: { key: 'c', trial: 2, of: 'bench' },
      },
    });
  });

  it('says why a plan was not saved, and keeps it', async () => {
    serve({ ...SERVER, 'POST /api/sessions': { problems: ['A session needs a title.'] } });
    show(<PlannerPage />, '/plan?method=acid-base');
    await userEvent.type(await title(), 'x');
    await userEvent.click(screen.getByRole('button', { name: 'Save the plan' }));
    expect(await screen.findByText('A session needs a title.')).toBeTruthy();
    expect(((await title()) as HTMLInputElement).value).toBe('x');
  });

  it('says what to do first where there is no section', async () => {
    serve({ ...SERVER, 'GET /api/sections': [] });
    show(<PlannerPage />);
    expect(await screen.findByText(/There is no section yet/)).toBeTruthy();
  });
});
