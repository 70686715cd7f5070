import react from '@vitejs/plugin-react';
import { configDefaults, defineConfig } from 'vitest/config';
import { serviceWorker } from './service-worker.ts';

// What a bench does without: lists, menus and what only forms of the staff need.
const FORMS = `material[\\\\/](${[
  'Autocomplete|useAutocomplete|Chip|Popper|Checkbox|FormControlLabel|FormGroup|FormHelperText|LinearProgress',
  'FilledInput|Input|InputAdornment|List|ListSubheader|Menu|MenuItem|MenuList|NativeSelect|Popover|Select|TextField',
  'Radio|RadioGroup|Tab|Tabs|TabScrollButton|internal[\\\\/]SwitchBase',
].join('|')})[\\\\/]`;
const shared = [
  { name: 'v-react', test: /node_modules[\\/](react|react-dom|scheduler|react-router)[\\/]/, priority: 30 },
  {
    name: 'v-mui',
    test: new RegExp(
      `node_modules[\\\\/](@mui[\\\\/](?!${FORMS})|(@emotion|@babel|stylis|clsx|prop-types|react-is|react-transition-group)[\\\\/])`,
    ),
    priority: 28,
  },
  { name: 'v-data', test: /node_modules[\\/](@tanstack|openapi-fetch|idb)/, priority: 15 },
];

const ALONE = ['src/queue/useOutbox.test.tsx'];

export default defineConfig({
  base: process.env.NODE_ENV === 'production' ? '/static/' : '/',
  plugins: [react(), serviceWorker()],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    sourcemap: false,
    assetsInlineLimit: 0, // a font inlined as data: would be refused by the content security policy
    rolldownOptions: { output: { codeSplitting: { groups: shared } } },
  },
  test: {
    testTimeout: 20_000, // a build machine may be busy
    // Modules are read once for all files; a file that puts something in a module's place has them for itself.
    projects: [
      {
        extends: true,
        test: {
          name: 'together',
          pool: 'threads',
          isolate: false,
          exclude: [...configDefaults.exclude, ...ALONE],
        },
      },
      { extends: true, test: { name: 'alone', include: ALONE } },
    ],
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8000' } },
});
