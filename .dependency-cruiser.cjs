module.exports = {
  forbidden: [
    {
      name: 'no-circular',
      severity: 'error',
      comment: 'An import cycle means two files that should be one, or a third that both need.',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-circular-folders',
      severity: 'error',
      comment: 'The folders of the core are floors: what two of them need lies below both.',
      scope: 'folder',
      from: { path: '^src/core/[^/]+$' },
      to: { path: '^src/core/[^/]+$', circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    // A test may look at anything; nothing looks at a test.
    exclude: { path: '\\.test\\.ts$' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js'] },
  },
};
