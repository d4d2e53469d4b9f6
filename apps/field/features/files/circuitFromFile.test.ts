import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { partsNetlist } from '@jokulgale/core/formats/partsNetlist'
import { wireListCsv } from '@jokulgale/core/formats/wireListCsv'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { circuitFromFile } from './circuitFromFile'

const text = builtInUnitText('fan-coil-cooling')

test('ladder text stands for the whole circuit, with remarks before it too', () => {
  const other = `# as found\n${builtInUnitText('split-heat-pump')}`
  expect(circuitFromFile(text, other)).toEqual({ is: 'text', text: other })
})

test('of a wire list the leads are taken, and the rest of the text stays', () => {
  const list = wireListCsv(readLadder(text)).replace(/^(GR\.A2.*),brown,28,/m, '$1,violet,128,')
  expect(list).toContain('violet,128')
  const edit = circuitFromFile(text, list)
  expect(edit).toEqual({ is: 'text', text: text.replace('-brown 28-', '-violet 128-') })
})

test('of a netlist what joins the terminals is taken, and colours and numbers stay', () => {
  const netlist = partsNetlist(readLadder(text))
  expect(circuitFromFile(text, netlist)).toEqual({ is: 'text', text })
  const apart = netlist.replace(/^(XGR .*) \S+ GR$/m, '$1 elsewhere GR')
  const edit = circuitFromFile(text, apart)
  expect(edit.is === 'text' && edit.text !== text).toBe(true)
})

test.each([
  [
    'a netlist with a slip',
    partsNetlist(readLadder(text)).replace('XGR ', 'XGX '),
    /^line \d+: there is no part GX/,
  ],
  ['ladder text with a slip', text.replace('contactor', 'contacter'), /^line \d+/],
  [
    'a list of another unit',
    wireListCsv(readLadder(builtInUnitText('rooftop-480'))),
    /^row \d+: there is no terminal/,
  ],
  ['a picture', '\u0089PNG\r\n', /row 1/],
  ['a page of remarks', '# # '.repeat(50_000), /row 1/],
  ['what is larger than any circuit', 'x'.repeat(1_000_001), /larger than any circuit/],
])('%s is refused, where it is wrong and what to do', (_, file, words) => {
  const edit = circuitFromFile(text, file)
  expect(edit.is === 'problem' ? edit.message : '').toMatch(words)
})
