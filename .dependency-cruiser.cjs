/* Who may know whom. Every arrow goes one way, types included; `npm test` holds it, `npm run graph` draws it. */
module.exports = {
  forbidden: [],
  options: {
    doNotFollow: { path: 'node_modules' },
    includeOnly: '^(core|contracts|server|web|demo)/src',
    exclude: { path: '\\.test\\.tsx?$' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { conditionNames: ['winter-jar-source', 'import', 'types', 'default'], exportsFields: ['exports'] },
  },
};
