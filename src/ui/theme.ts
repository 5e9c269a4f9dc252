import { createTheme, type MantineColorsTuple } from '@mantine/core';

const spruce: MantineColorsTuple = [
  '#eaf3ef',
  '#d3e4dc',
  '#a8cabb',
  '#7bae99',
  '#57967e',
  '#3f866c',
  '#2f6b55',
  '#275a47',
  '#1f4d3d',
  '#143a2d',
];
const ochre: MantineColorsTuple = [
  '#fbf3e0',
  '#f3e4c0',
  '#e6ca8b',
  '#d9b056',
  '#c9962b',
  '#a87817',
  '#8a5f0c',
  '#744f08',
  '#5e4006',
  '#483104',
];
const brick: MantineColorsTuple = [
  '#fbece8',
  '#f3d3cb',
  '#e6a99b',
  '#d97e6a',
  '#c95a43',
  '#b24330',
  '#9a3625',
  '#822d1f',
  '#6b2519',
  '#541c12',
];

/** In place of Mantine's blue-grey: switches, disabled buttons and selects stand on the same paper as the rest. */
const gray: MantineColorsTuple = [
  '#fbf8f0',
  '#f5f1e6',
  '#ece6d6',
  '#e0d8c5',
  '#d5ccb7',
  '#a89f88',
  '#8f866f',
  '#5a584f',
  '#3a3a35',
  '#24272a',
];

/** Waxed canvas and a paper map: one spruce accent, ochre and brick only for check and stop. */
export const theme = createTheme({
  colors: { spruce, ochre, brick, gray },
  primaryColor: 'spruce',
  primaryShade: { light: 7, dark: 6 },
  autoContrast: true,
  fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif",
  fontFamilyMonospace: 'ui-monospace, monospace',
  headings: { fontFamily: "'Source Sans 3 Variable', system-ui, sans-serif", fontWeight: '650' },
  defaultRadius: 3,
  cursorType: 'pointer',
  respectReducedMotion: true,
  components: {
    Modal: {
      defaultProps: {
        overlayProps: { backgroundOpacity: 0.35 },
        closeButtonProps: { 'aria-label': 'Close' },
      },
    },
  },
});
