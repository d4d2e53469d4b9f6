import { Press } from './Press'

interface SavePressProps {
  readonly title: string
  readonly file: string
  /** Its kind, as a browser has it: `image/svg+xml`. */
  readonly type: string
  /** Made only when it is asked for. */
  readonly make: () => Promise<string>
}

/** Keeps a text as a file on the device. */
export const SavePress = ({ title, file, type, make }: SavePressProps) => (
  <Press
    title={title}
    onPress={() => {
      void make().then((text) => {
        save(file, new Blob([text], { type: `${type};charset=utf-8` }))
      })
    }}
  />
)

function save(file: string, content: Blob): void {
  const address = URL.createObjectURL(content)
  const link = document.createElement('a')
  link.href = address
  link.download = file
  link.click()
  URL.revokeObjectURL(address)
}
