export default {
  plugins: {
    'postcss-preset-mantine': {},
    'postcss-simple-vars': {
      variables: { 'mantine-breakpoint-sm': '48em', 'mantine-breakpoint-md': '62em' },
    },
  },
};
