import { CaseFileError, readCaseFile } from './caseFile'

const file = (entries: unknown): string =>
  JSON.stringify({ unit: 'rooftop-two-stage', complaint: '', entries })

test.each([
  ['not JSON', '{', /not JSON/],
  ['no entries', JSON.stringify({ unit: 'x', complaint: '' }), /entries/],
  ['an unknown kind', file([{ kind: 'guess' }]), /entries\[0\].*kind must be one of/s],
  [
    'a value that is no number',
    file([{ kind: 'reading', meter: 'volts', from: 'TB.R', value: '24' }]),
    /value must be a finite number/,
  ],
  ['a meter that is not', file([{ kind: 'reading', meter: 'sniffer', from: 'TB.R', value: 2 }]), /meter/],
  ['a field that is not', file([{ kind: 'call', call: 'cool1', loud: true }]), /no field loud/],
])('%s is refused with what and where', (_, text, message) => {
  expect(() => readCaseFile(text)).toThrow(CaseFileError)
  expect(() => readCaseFile(text)).toThrow(message)
})

test('a good file is read as it is', () => {
  const entries = [
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'TB.C', value: null },
  ]
  expect(readCaseFile(file(entries)).entries).toEqual(entries)
})
