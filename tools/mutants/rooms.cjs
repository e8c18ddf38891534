// The rooms of the core that `npm run mutants` judges, each by the tests that stand beside it.
const { readdirSync } = require('node:fs');
const { join } = require('node:path');

const core = join(__dirname, '../../core/src');
const inRoom = (name) => readdirSync(join(core, name)).filter((file) => file.endsWith('.ts'));
const isTest = (file) => file.endsWith('.test.ts');
const isCode = (file) => !isTest(file) && !file.endsWith('.fixture.ts');
const whole = (name) => ({
  code: inRoom(name).filter(isCode).map((file) => `${name}/${file}`),
  tests: inRoom(name).filter(isTest).map((file) => `${name}/${file}`),
});

const rooms = {
  findings: whole('findings'),
  wiring: whole('wiring'),
  water: whole('water'),
  sizing: {
    code: ['sizing', 'smallerSize', 'protection', 'settings', 'conductors'].map((f) => `assess/${f}.ts`),
    tests: ['assess/sizing.test.ts', 'assess/boundaries.test.ts', 'assess/sharing.test.ts', 'assess/rulings.test.ts'],
  },
};

module.exports = {
  roomNames: Object.keys(rooms),
  codeOf: (name) => rooms[name].code.map((file) => `core/src/${file}`),
  testFilesOf: (name) => rooms[name].tests,
};
