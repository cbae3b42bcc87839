import base from './playwright.config'

export default { ...base, testDir: 'tests/bench', reporter: [['line']] as [['line']] }
