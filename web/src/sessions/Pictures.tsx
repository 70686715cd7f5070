import Box from '@mui/material/Box';
import { clock } from '../time/time';
import { ink } from '../identity/tokens';

interface Picture {
  photo: string;
  text: string;
  author: string;
  at: string;
}

/** Pictures of the record, each with what it shows, who took it and when; a touch shows it large. */
export function Pictures({ bench, pictures }: { bench: number; pictures: Picture[] }) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
      {pictures.map((picture) => {
        const url = `/api/benches/${bench}/photos/${picture.photo}`;
        return (
          <Box component="figure" key={`${picture.photo}${picture.at}`} sx={{ m: 0, width: 168 }}>
            <a href={url} target="_blank" rel="noreferrer">
              <img
                src={url}
                alt={picture.text}
                style={{
                  width: '100%',
                  height: 118,
                  objectFit: 'cover',
                  borderRadius: 8,
                  border: `1px solid ${ink.rule}`,
                  display: 'block',
                }}
              />
            </a>
            <Box component="figcaption" sx={{ fontSize: 13, color: ink.inkSoft, mt: 0.5 }}>
              {picture.text}. {picture.author}, {clock(picture.at)}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
