import { useState } from 'react'
import { Pressable, View } from 'react-native'
import type { Spot } from '@jokulgale/core/visit/spots'
import { dayWords } from '../../ui/days'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Sheet } from '../../ui/Sheet'
import { Words } from '../../ui/Words'
import { choosePicture } from '../photo/takePicture'
import { useSync } from '../sync/SyncContext'
import type { OpenVisit } from '../visit/useVisit'
import { pressedAt } from './pressedAt'
import { SpotPicture } from './SpotPicture'
import { usePanel } from './usePanel'

interface PinSheetProps {
  readonly visit: OpenVisit
  readonly point: string
  readonly onClose: () => void
}

/** Pins a test point on a picture of its panel, once; every later ask for it shows the spot. */
export function PinSheet({ visit, point, onClose }: PinSheetProps) {
  const sync = useSync()
  const { photos } = usePanel(visit)
  const [photo, setPhoto] = useState<string | null>(null)
  const take = async (): Promise<void> => {
    const image = await choosePicture()
    if (image) setPhoto(await sync.takePhoto(visit.id, image, { words: 'Panel' }))
  }
  return (
    <Sheet title={`Where is ${point}?`} open onClose={onClose}>
      {photo === null ? (
        <>
          <Words quiet>On a picture of the panel, as it hangs there.</Words>
          <Press
            kind="main"
            title="Take a picture of the panel"
            onPress={() => {
              void take()
            }}
          />
          {photos.map(({ photo: id, words, day }) => (
            <Row
              key={id}
              title={words}
              below={day === null ? 'taken on this visit' : dayWords(day)}
              onPress={() => {
                setPhoto(id)
              }}
            />
          ))}
        </>
      ) : (
        <Pin
          photo={photo}
          point={point}
          onPin={(at) => {
            void visit.say({ kind: 'pinned', photo, of: point, ...at }).then(onClose)
          }}
        />
      )}
    </Sheet>
  )
}

type Place = Pick<Spot, 'x' | 'y'>

interface PinProps {
  readonly photo: string
  readonly point: string
  readonly onPin: (at: Place) => void
}

const stepPercent = 2
const moves: Readonly<Record<string, Place>> = {
  ArrowLeft: { x: -stepPercent, y: 0 },
  ArrowRight: { x: stepPercent, y: 0 },
  ArrowUp: { x: 0, y: -stepPercent },
  ArrowDown: { x: 0, y: stepPercent },
}
const within = (percent: number): number => Math.round(10 * Math.min(100, Math.max(0, percent))) / 10

function Pin({ photo, point, onPin }: PinProps) {
  const [at, setAt] = useState<Place | null>(null)
  const [size, setSize] = useState({ width: 1, height: 1 })
  const move = ({ x, y }: Place): void => {
    setAt((now) => ({ x: within((now?.x ?? 50) + x), y: within((now?.y ?? 50) + y) }))
  }
  const keys = {
    onKeyDown: (event: { readonly key: string; readonly preventDefault: () => void }) => {
      const by = moves[event.key]
      if (!by) return
      event.preventDefault()
      move(by)
    },
  }
  return (
    <View style={{ gap: 12 }}>
      <Words>{`Tap ${point} on the picture; arrow keys move the ring.`}</Words>
      <Pressable
        accessibilityRole="button"
        accessibilityLabel={`The spot of ${point} on the picture`}
        {...keys}
        onLayout={({ nativeEvent: { layout } }) => {
          setSize(layout)
        }}
        onPress={(event) => {
          const pressed = pressedAt(event)
          // a key presses no place of its own: the ring stays, or begins in the middle
          if (pressed)
            setAt({ x: within((100 * pressed.x) / size.width), y: within((100 * pressed.y) / size.height) })
          else move({ x: 0, y: 0 })
        }}
      >
        <SpotPicture photo={photo} at={at} words="Picture of the panel" ring={44} />
      </Pressable>
      <Press
        kind="main"
        title="It is here"
        disabled={at === null}
        onPress={() => {
          if (at) onPin(at)
        }}
      />
    </View>
  )
}
