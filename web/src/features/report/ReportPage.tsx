import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Fragment } from 'react';
import { Link, useParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { useReport } from '../../api/hooks';
import { BesideSamples } from '../../results/BesideSamples';
import { BudgetBars } from '../../results/BudgetBars';
import { Figure } from '../../identity/Figure';
import { Columns } from '../../identity/Columns';
import { Simulated } from '../../sessions/Simulated';
import { dotted } from '../../identity/dotted';
import { Folded } from '../../identity/Folded';
import { HandedLines } from '../../results/HandedLines';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { ResultCard } from '../../results/ResultCard';
import { day } from '../../time/time';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { MarksSheet } from './MarksSheet';
import { BudgetTable, Schools, WhatIf } from './Beside';
import { TrialResults } from '../../results/TrialResults';
import { Settled } from '../../results/Settled';
import { StateTag, VerdictLine } from '../../identity/Verdict';
import { ChartView } from '../../charts/ChartView';
import { Readings } from './Readings';
import { Statistics } from './Statistics';
import { Pictures } from '../../sessions/Pictures';
import { PathBack } from '../../results/PathBack';
import { OtherProduct } from '../../results/OtherProduct';
import { KeepIt } from './KeepIt';
import { WorkedLines } from '../../results/WorkedLines';

/** A bench's report. */
export function ReportPage() {
  const report = useReport(Number(useParams().bench));
  return <Loaded of={report}>{(data) => <Whole report={data} />}</Loaded>;
}

const FILES = [
  ['report.pdf', 'PDF'],
  ['readings.csv', 'Readings, CSV'],
  ['results.csv', 'Results, CSV'],
  ['workbook.xlsx', 'Worked spreadsheet, XLSX'],
  ['data.json', 'Data, JSON'],
  ['spectrum.jdx', 'Spectrum, JCAMP-DX'],
] as const;

/** Whose own reports there are for who looks: of the whole team for the staff, a student’s own. */
function Each({ report }: { report: Shapes['Report'] }) {
  const alone = report.each.length === 1;
  return report.each.map((student, place) => (
    <Fragment key={student.id}>
      {place === 0 ? ' · ' : ', '}
      <a href={`/api/benches/${report.bench_id}/files/report.pdf?student=${student.id}`} download>
        {alone ? `report of ${student.name}` : place === 0 ? `for each: ${student.name}` : student.name}
      </a>
    </Fragment>
  ));
}

function Whole({ report }: { report: Shapes['Report'] }) {
  const colour = accent(report.session.family);
  const spectrum = report.evaluation.charts.some((chart) => chart.key === 'spectrum');
  return (
    <Page>
      <Heading
        colour={colour}
        title={report.session.title}
        below={
          <>
            <Link to={`/benches/${report.bench_id}`}>Bench {report.number}</Link>
            {' · '}
            <Simulated how={report.session.simulated} />{' '}
            {dotted(report.sample, report.team.join(', '), day(report.session.starts_at))}
            <Each report={report} />
          </>
        }
        actions={FILES.filter(([name]) => spectrum || name !== 'spectrum.jdx').map(([name, label], place) => (
          <Button
            key={name}
            variant={place === 0 ? 'contained' : 'outlined'}
            component="a"
            href={`/api/benches/${report.bench_id}/files/${name}`}
            download
          >
            {label}
          </Button>
        ))}
      />
      <Columns>
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Work report={report} colour={colour} />
        </Box>
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Sheet title="Aim">
            {report.aim} <span style={{ color: ink.inkSoft }}>{report.reaction}</span>
          </Sheet>
          <MarksSheet bench={report.bench_id} />
          <Results report={report} colour={colour} />
          {report.stores && <KeepIt report={report} />}
          <Budget report={report} colour={colour} />
          {report.beside.length > 0 && (
            <Sheet title="Samples compared">
              <BesideSamples of={report.beside} />
            </Sheet>
          )}
          {report.comparison && <OtherProduct comparison={report.comparison} />}
          <Conclusion report={report} />
          <SaidAndSealed report={report} />
        </Box>
      </Columns>
    </Page>
  );
}

interface PartProps {
  report: Shapes['Report'];
  colour: string;
}

/** What was read, drawn and worked. */
function Work({ report, colour }: PartProps) {
  return (
    <>
      <Sheet title="Readings">
        <Readings report={report} />
      </Sheet>
      {report.evaluation.charts.length > 0 && (
        <Sheet title="Charts">
          <Box sx={{ display: 'grid', gap: 2 }}>
            {report.evaluation.charts.map((chart) => (
              <ChartView key={chart.key} chart={chart} colour={colour} />
            ))}
          </Box>
        </Sheet>
      )}
      <Sheet title="Worked computation">
        {report.known.length > 0 && (
          <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
            Taken as known: {report.known.map((constant) => constant.text).join(' · ')}
          </Box>
        )}
        <HandedLines handed={report.evaluation.handed} />
        <WorkedLines lines={report.lines} />
        <PathBack evaluation={report.evaluation} colour={colour} />
      </Sheet>
      {report.what_if.length > 0 && <WhatIf effects={report.what_if} colour={colour} />}
    </>
  );
}

/** Pictures and notes, and whether the record is whole. */
function SaidAndSealed({ report }: { report: Shapes['Report'] }) {
  return (
    <>
      {report.photos.length > 0 && (
        <Sheet title="Pictures">
          <Pictures bench={report.bench_id} pictures={report.photos} />
        </Sheet>
      )}
      {report.notes.length > 0 && (
        <Sheet title="Notes">
          {report.notes.map((note) => (
            <Box key={note}>{note}</Box>
          ))}
        </Sheet>
      )}
      {report.record.whole ? (
        <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
          Record <span style={{ fontFamily: FIGURES }}>{report.record.number}</span>: {report.record.sentence}
        </Box>
      ) : (
        <VerdictLine level="stop" lead="The record is not as it was sealed.">
          {report.record.sentence}
        </VerdictLine>
      )}
    </>
  );
}

function Results({ report, colour }: PartProps) {
  const { evaluation } = report;
  const [first] = evaluation.results;
  const others = evaluation.results.filter((result) => result !== first && result.trial === null);
  return (
    <Sheet title="Results">
      <Box sx={{ display: 'grid', gap: 1 }}>
        {first && <ResultCard result={first} colour={colour} />}
        {others.map((result) => (
          <ResultCard key={result.key} result={result} colour={colour} small />
        ))}
        <TrialResults results={evaluation.results} />
        {!first && 'No result yet.'}
        {evaluation.absent.map((reason) => (
          <Box key={reason} sx={{ fontSize: 14, color: ink.inkSoft }}>
            {reason}
          </Box>
        ))}
        {first?.comparison && <Comparison comparison={first.comparison} />}
        <Settled evaluation={evaluation} />
        {evaluation.agreement && (
          <Box sx={{ fontSize: 14 }}>
            <StateTag
              level={evaluation.agreement.level}
              word={evaluation.agreement.level === 'keep' ? 'Agree' : 'Once more'}
            />{' '}
            {evaluation.agreement.what} {evaluation.agreement.why}
          </Box>
        )}
      </Box>
    </Sheet>
  );
}

function Budget({ report, colour }: PartProps) {
  const [first] = report.evaluation.results;
  if (!first) return null;
  return (
    <Sheet title="Uncertainty budget">
      <BudgetBars lines={first.budget} colour={colour} />
      <Box sx={{ mt: 1, color: ink.inkSoft }}>{first.advice}</Box>
      <Schools result={first} draws={report.draws[0]?.sentence ?? ''} />
      <BudgetTable lines={first.budget} unit={first.unit} />
      <Statistics statistics={report.evaluation.statistics} />
      <Basis report={report} />
    </Sheet>
  );
}

function Conclusion({ report }: { report: Shapes['Report'] }) {
  return (
    <Sheet title="Conclusion">
      {report.evaluation.own.map((own) => (
        <Box key={`${own.key}${own.trial ?? ''}`} sx={{ mb: 1.5 }}>
          {own.label}, worked by the team: <Figure text={own.text} unit={own.unit} />{' '}
          <StateTag level={own.agrees ? 'keep' : 'look'} word={own.agrees ? 'Same' : 'Differs'} />
          <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>{own.sentence}</Box>
        </Box>
      ))}
      {report.answers.map((answer) => (
        <Box key={answer.question} sx={{ mb: 1.5 }}>
          <strong>{answer.question}</strong>
          <Box sx={{ color: answer.answer ? ink.ink : ink.inkSoft }}>
            {answer.answer || 'Not answered yet.'}
            {answer.author && <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>{answer.author}</Box>}
          </Box>
        </Box>
      ))}
    </Sheet>
  );
}

function Comparison({ comparison }: { comparison: Shapes['Comparison'] }) {
  return (
    <Box sx={{ fontSize: 14 }}>
      <StateTag
        level={comparison.within ? 'keep' : 'look'}
        word={comparison.within ? 'Within U' : 'Outside U'}
      />{' '}
      {comparison.sentence}
    </Box>
  );
}

function Basis({ report }: { report: Shapes['Report'] }) {
  return (
    <Folded title="Where these uncertainties come from">
      <Link to="/choices">How Chromata computes, where several ways are accepted</Link>
      {report.instruments.map((tool) => (
        <Box key={tool.role} sx={{ mb: 1 }}>
          <strong>{tool.label}</strong>
          {tool.basis.map((line) => (
            <Box key={line}>{line}</Box>
          ))}
        </Box>
      ))}
    </Folded>
  );
}
