import { fireEvent, screen } from '@testing-library/react-native'
import { benchTools } from '@jokulgale/core/bench/index'
import type { BenchInput, BenchTool } from '@jokulgale/core/bench/tool'
import { usualUnits } from '@jokulgale/core/physics/displayUnits'
import { createAppStore } from '../store'
import { renderInApp } from '../testApp'
import { unitsChosen } from '../units/unitsSlice'
import { ToolScreen } from './ToolScreen'

jest.mock('expo-router', () => ({ useRouter: () => ({ back: jest.fn(), navigate: jest.fn() }) }))

/** From opening the bench to a verdict; two of them open the bench and the tool. */
const mostTaps = 8
const toOpen = 2

const labelOf = ({ words, unit }: BenchInput, mayBeLeft: boolean): string =>
  `${words}${unit === '' ? '' : `, ${unit}`}${mayBeLeft ? ' (if known)' : ''}`

/** Enters one number of a tool's example, as a person does: typed, or chosen among a few. */
function enter(tool: BenchTool, input: string): void {
  const mayBeLeft = input in tool.extras
  const asked = tool.inputs[input] ?? tool.extras[input]
  const value = tool.example[input]
  const among = asked.among?.find((each) => each.value === value)
  if (among) fireEvent.press(screen.getByText(among.words))
  else fireEvent.changeText(screen.getByLabelText(labelOf(asked, mayBeLeft)), String(value))
}

const verdictOf = (tool: BenchTool): string => {
  const outcome = tool.work(tool.example)
  return outcome.is === 'verdict' ? outcome.verdict.words : ''
}

test.each(benchTools.map((tool) => [tool.id, tool] as const))(
  '%s: from opening the bench to its verdict, by its own example',
  (id, tool) => {
    renderInApp(<ToolScreen toolId={id} visitId={null} />)
    // the example below the fields says the same words in inverted commas
    const verdict = verdictOf(tool)
    expect(verdict).not.toBe('')
    expect(screen.queryByText(verdict)).toBeNull()
    const entered = Object.keys({ ...tool.inputs, ...tool.extras }).filter((input) => input in tool.example)
    for (const input of entered) enter(tool, input)
    expect(screen.getByText(verdict)).toBeTruthy()
    expect(toOpen + entered.length).toBeLessThanOrEqual(mostTaps)
  },
)

test.each(benchTools.map((tool) => [tool.id, tool] as const))(
  '%s: a number that cannot be is named at its field, and there is no verdict',
  (id, tool) => {
    renderInApp(<ToolScreen toolId={id} visitId={null} />)
    for (const input of Object.keys(tool.inputs)) enter(tool, input)
    const [input, asked] =
      Object.entries(tool.inputs).find(([, each]) => !each.among) ?? Object.entries(tool.inputs)[0]
    fireEvent.changeText(screen.getByLabelText(labelOf(asked, input in tool.extras)), String(asked.most + 1))
    expect(screen.getAllByText(/cannot be right/).length).toBeGreaterThan(0)
  },
)

test('a tool that there is not is said so', () => {
  renderInApp(<ToolScreen toolId="divining-rod" visitId={null} />)
  expect(screen.getByText('There is no such tool on the bench.')).toBeTruthy()
})

test('on a device in °C a tool takes and says degrees Celsius, and finds the same', () => {
  const store = createAppStore()
  store.dispatch(unitsChosen({ ...usualUnits, temperature: '°C' }))
  renderInApp(<ToolScreen toolId="heat-rise" visitId={null} />, store)
  fireEvent.changeText(screen.getByLabelText('Heat, kW'), '9.6')
  fireEvent.changeText(screen.getByLabelText('Air before the heater, °C'), '20')
  fireEvent.changeText(screen.getByLabelText('Air after it, out of its sight, °C'), '35')
  // 15 °C of rise are 27 °F: 9.6 kW × 3412 / (1.08 × 27)
  expect(screen.getByText(/^About 1123 CFM/)).toBeTruthy()
  expect(screen.getByText('15.0 °C')).toBeTruthy()
  fireEvent.changeText(screen.getByLabelText('Air before the heater, °C'), '900')
  expect(screen.getAllByText(/from -51\.1 to 148\.9 °C; 900 cannot be right/).length).toBeGreaterThan(0)
})
