import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Loaded } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { TABLE } from '../../identity/table';
import { ink } from '../../identity/tokens';
import { kindOf, useClassPractice } from './usePractice';

/** Where one’s classes are weak, without names; the weakest first. */
export function ClassSkills() {
  const classes = useClassPractice();
  return (
    <Loaded of={classes}>
      {(all) => (
        <Box sx={{ display: 'grid', gap: 2 }}>
          {all.length === 0 && (
            <Sheet title="Your classes">
              <Box sx={{ color: ink.inkSoft }}>
                No student has practised yet. What they find hard stands here then, without names.
              </Box>
            </Sheet>
          )}
          {all.map((section) => (
            <Sheet key={section.section} title={section.section} note="hardest first">
              <Skills of={section.skills} />
            </Sheet>
          ))}
        </Box>
      )}
    </Loaded>
  );
}

function Skills({ of }: { of: Shapes['SkillOfClass'][] }) {
  return (
    <Box component="table" sx={TABLE}>
      <thead>
        <tr>
          <th scope="col">Practised</th>
          <th scope="col">People</th>
          <th scope="col">Right</th>
        </tr>
      </thead>
      <tbody>
        {of.map((skill) => (
          <tr key={`${skill.kind} ${skill.label}`}>
            <td>
              {skill.label}, {kindOf(skill.kind)}
            </td>
            <td>{skill.people}</td>
            <td>{Math.round((100 * skill.right) / skill.tried)} %</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
