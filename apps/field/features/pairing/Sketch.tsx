import { useState } from 'react'
import { Pressable, StyleSheet, View } from 'react-native'
import type { UnitRecord } from '@jokulgale/contract/places'
import type { Pairing } from '@jokulgale/contract/records'
import { Chips } from '../../ui/Chips'
import { Line } from '../../ui/Line'
import { Part } from '../../ui/Part'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

const styles = StyleSheet.create({
  cell: { flex: 1, minHeight: 52, borderWidth: 1, alignItems: 'center', justifyContent: 'center' },
})

interface SketchProps {
  readonly units: readonly UnitRecord[]
  readonly places: Pairing['places']
  readonly onPlace: (of: string, x: number, y: number) => void
}

const columns = 6
const rows = 4

/** The roof or floor by position: choose a unit, tap where it stands. No drawing. */
export function Sketch({ units, places, onPlace }: SketchProps) {
  const palette = usePalette()
  const [unit, setUnit] = useState<string | null>(null)
  const at = (column: number, row: number) =>
    places.filter(
      ({ x, y }) => Math.floor((x / 100) * columns) === column && Math.floor((y / 100) * rows) === row,
    )
  const cell = (column: number, row: number) => {
    const here = at(column, row).map(({ of }) => of)
    return (
      <Pressable
        key={column}
        accessibilityRole="button"
        accessibilityLabel={`Row ${row + 1} of ${rows} from the far side, place ${column + 1} of ${columns}${here.length > 0 ? `: ${here.join(', ')}` : ': empty'}`}
        disabled={unit === null}
        onPress={() => {
          if (unit) onPlace(unit, ((column + 0.5) / columns) * 100, ((row + 0.5) / rows) * 100)
          setUnit(null)
        }}
        style={[
          styles.cell,
          { borderColor: palette.line, backgroundColor: here.length > 0 ? palette.raised : palette.ground },
        ]}
      >
        {here.map((label) => (
          <Words key={label} size="small" strong numberOfLines={1}>
            {label}
          </Words>
        ))}
      </Pressable>
    )
  }
  return (
    <Part title="Where they stand, as seen from the way up">
      <Chips
        label="Unit to place"
        options={units.map(({ label }) => ({ id: label, words: label }))}
        chosen={unit}
        onChoose={setUnit}
      />
      {unit ? <Words size="small">{`Tap where ${unit} stands.`}</Words> : null}
      <View style={{ gap: 0, marginTop: space.hair }}>
        {Array.from({ length: rows }, (_, row) => (
          <Line key={row}>{Array.from({ length: columns }, (__, column) => cell(column, row))}</Line>
        ))}
      </View>
    </Part>
  )
}
