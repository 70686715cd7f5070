import Box from '@mui/material/Box';
import { Link } from 'react-router';
import { useMe, useMethods } from '../../api/hooks';
import { Loaded, Page } from '../../identity/Page';
import { SheetLink } from '../../identity/SheetLink';
import { MyExperiments } from '../experiments/MyExperiments';
import { accent, asText, ink } from '../../identity/tokens';

/** Methods by family, each by the question it answers. */
export function MethodBook() {
  const methods = useMethods();
  const me = useMe();
  return (
    <Page>
      <Box component="h1" sx={{ mt: 0, fontSize: 28 }}>
        Method book
      </Box>
      <p>
        Experiments by family. <Link to="/choices">How Chromata computes</Link>, where several ways are
        accepted. <Link to="/scenes">How hands do it</Link>, drawn. <Link to="/practice">Practice</Link>:
        scales, calculations, faults.
      </p>
      <Loaded of={methods}>
        {(all) => {
          const families = [...new Map(all.map((card) => [card.family, card.family_label]))];
          return (
            <Box sx={{ display: 'grid', gap: 4 }}>
              {me.data?.role === 'instructor' && <MyExperiments />}
              {families.map(([family, label]) => (
                <Box component="section" key={family}>
                  <Box component="h2" sx={{ m: 0, mb: 1.5, fontSize: 18, color: asText(accent(family)) }}>
                    {label}
                  </Box>
                  <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { md: '1fr 1fr' } }}>
                    {all
                      .filter((card) => card.family === family)
                      .map((card) => (
                        <SheetLink
                          key={card.slug}
                          to={`/methods/${card.slug}`}
                          sx={{ borderTop: `5px solid ${accent(family)}`, p: 2.5 }}
                        >
                          <Box sx={{ fontWeight: 700, fontSize: 19 }}>{card.title}</Box>
                          <Box sx={{ color: ink.inkSoft, mt: 0.5 }}>{card.question}</Box>
                        </SheetLink>
                      ))}
                  </Box>
                </Box>
              ))}
            </Box>
          );
        }}
      </Loaded>
    </Page>
  );
}
