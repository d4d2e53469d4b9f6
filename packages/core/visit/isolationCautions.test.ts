import { builtInUnit, builtInUnitIds } from '../units/index'
import { isolationCautions } from './isolationCautions'

const said = (id: string): string => isolationCautions(builtInUnit(id)).join(' ')

test('an arc is spoken of where volts keep one burning, 277 V to neutral too, and nowhere else', () => {
  const speaking = builtInUnitIds.filter((id) => /arc flash/.test(said(id)))
  expect(speaking).toEqual([
    'air-handler-drive',
    'air-handler-drive-running',
    'air-handler-heat',
    'rooftop-480',
    'terminal-box',
  ])
  expect(said('terminal-box')).toMatch(/^277 V and arc flash/)
  expect(said('rooftop-480')).toMatch(/^480 V and arc flash/)
})

test('a bar that leaves a leg live is spoken of where a contactor has one', () => {
  expect(said('split-heat-pump')).toMatch(/bar leaves that leg live/)
  expect(said('rooftop-two-stage')).not.toMatch(/bar/)
})

test.each(builtInUnitIds)('%s: hands and eyes are always spoken of', (id) => {
  expect(said(id)).toMatch(/One hand, eye protection, rated gloves/)
})
