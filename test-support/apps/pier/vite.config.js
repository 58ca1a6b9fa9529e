export default { esbuild: { jsx: 'automatic' } };
