import Box from '@mui/material/Box';
import { useQuery } from '@tanstack/react-query';
import { api, said } from '../../api/client';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { accent, ink } from '../../identity/tokens';
import { Scene } from '../../scenes/Scene';

const useScenes = () =>
  useQuery({ queryKey: ['scenes'], staleTime: Infinity, queryFn: () => said(api.GET('/api/scenes')) });

const GRID = {
  display: 'grid',
  gap: 4,
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' },
  alignItems: 'start',
} as const;

/** Every drawing in all of its moves, on one sheet. */
export function ScenesPage() {
  const scenes = useScenes();
  return (
    <Page wide>
      <Heading
        colour={accent('')}
        title="How it is done"
        below="What hands do, drawn. Each drawing stands at the steps that need it."
      />
      <Loaded of={scenes}>
        {(all) => (
          <Box sx={GRID}>
            {all.map((scene) => (
              <Box key={scene.key} component="section">
                <Box component="h2" sx={{ fontSize: 18, m: 0, mb: 1 }}>
                  {scene.title} <span style={{ color: ink.inkSoft, fontWeight: 400 }}>{scene.key}</span>
                </Box>
                <Scene of={scene.key} colour={accent('gas')} />
              </Box>
            ))}
          </Box>
        )}
      </Loaded>
    </Page>
  );
}
