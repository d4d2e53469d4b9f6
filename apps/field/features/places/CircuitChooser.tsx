import { lazy, Suspense, useState } from 'react'
import { View } from 'react-native'
import type { DiagramRecord } from '@jokulgale/contract/places'
import { Field } from '../../ui/Field'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { useSync } from '../sync/SyncContext'

/** The families come when they are asked for: most calls never need them. */
const FamilyForm = lazy(() => import('../circuit/FamilyForm'))
const BareForm = lazy(() => import('../circuit/BareForm'))

/** How a circuit comes to be: taken as it is, put together, or begun from nothing. */
type Way = 'taken' | 'by-options' | 'from-nothing'
const titles: Readonly<Record<Way, string>> = {
  taken: 'Circuit',
  'by-options': 'By its options',
  'from-nothing': 'From nothing',
}

interface CircuitChooserProps {
  readonly circuits: readonly DiagramRecord[]
  readonly chosen: string
  readonly onChoose: (id: string) => void
  readonly error: string | undefined
  /** What is asked, where nothing is chosen yet. */
  readonly asks?: string
}

/** Which circuit a unit has: one of the program's to begin with, or one of the shop's own. */
export function CircuitChooser({
  circuits,
  chosen,
  onChoose,
  error,
  asks = 'Choose its circuit',
}: CircuitChooserProps) {
  const [open, setOpen] = useState(false)
  const [way, setWay] = useState<Way>('taken')
  const [sought, setSought] = useState('')
  const sync = useSync()
  const now = circuits.find(({ id }) => id === chosen)
  const words = sought.toLowerCase().split(' ')
  const fitting = circuits.filter(({ title }) => words.every((word) => title.toLowerCase().includes(word)))
  const close = (): void => {
    setOpen(false)
    setWay('taken')
  }
  const take = async (ladder: string): Promise<void> => {
    const same = circuits.find((circuit) => circuit.ladder === ladder)
    onChoose(same?.id ?? (await sync.makeDiagram(ladder, '')))
    close()
  }
  const begin = (ladder: string): void => {
    void take(ladder)
  }
  return (
    <View>
      <Row
        title={now ? now.title : asks}
        below={
          now ? 'Its circuit; can be changed wire by wire once the unit is there' : 'The nearest one will do'
        }
        label={asks}
        onPress={() => {
          setOpen(true)
        }}
      />
      {error ? <Notice kind="wrong">{error}</Notice> : null}
      <Sheet title={titles[way]} open={open} onClose={close}>
        {way !== 'taken' ? (
          <Suspense fallback={<Words quiet>One moment …</Words>}>
            {way === 'by-options' ? <FamilyForm onTake={begin} /> : <BareForm onTake={begin} />}
          </Suspense>
        ) : (
          <>
            <Press
              title="Put it together by its options"
              onPress={() => {
                setWay('by-options')
              }}
            />
            <Press
              title="From nothing, lead by lead"
              onPress={() => {
                setWay('from-nothing')
              }}
            />
            <Field
              label="Find a circuit"
              value={sought}
              onChangeText={setSought}
              placeholder="rooftop gas 480"
            />
            {fitting.map(({ id, title, isBuiltIn }) => (
              <Row
                key={id}
                title={title}
                below={isBuiltIn ? 'comes with the program' : 'of this shop'}
                onPress={() => {
                  onChoose(id)
                  close()
                }}
              />
            ))}
            {fitting.length === 0 ? <Words quiet>{`No circuit has “${sought}” in its title.`}</Words> : null}
          </>
        )}
      </Sheet>
    </View>
  )
}
