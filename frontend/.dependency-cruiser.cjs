/** The rooms of the browser side: an import goes down, never up, and never round in a circle. */
const floors = [
  ['words'],
  ['ui', 'wire'],
  ['ink', 'call'],
  ['board'],
  ['lesson'],
  ['gestures'],
  // What people see: the lesson's frame, and the views around it.
  ['people', 'hand'],
  ['rooms'],
  ['frame', 'porch', 'pair', 'account'],
]

const up = floors.slice(0, -1).map((rooms, floor) => ({
  name: `${rooms.join(' and ')} look down only`,
  severity: 'error',
  from: { path: `^src/(${rooms.join('|')})/` },
  to: {
    path: `^src/(${floors
      .slice(floor + 1)
      .flat()
      .join('|')}|[^/]+$)`,
  },
}))

module.exports = {
  forbidden: [
    { name: 'no circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'ui knows nothing but itself and words',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/(?!(ui|words)/)' },
    },
    {
      name: 'the wire knows no interface',
      severity: 'error',
      from: { path: '^src/wire/' },
      to: { path: '^src/(?!(wire|words)/)' },
    },
    {
      name: 'no view below the frame',
      severity: 'error',
      from: { path: '^src/(words|wire|ink|call|board|lesson|gestures)/' },
      to: { path: '\\.svelte$' },
    },
    ...up,
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
  },
}
