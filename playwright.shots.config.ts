import base from './playwright.config'

// The pictures of the README, made from the demo data.
export default { ...base, testDir: 'tests/shots' }
