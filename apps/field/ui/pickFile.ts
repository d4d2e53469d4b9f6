interface Wanted {
  /** Kinds of file, as an input takes them: `.csv,text/csv`. */
  readonly accept: string
  /** What it is for, so that the field can be told from others. */
  readonly purpose: string
  /** Straight from the camera, where there is one. */
  readonly fromCamera?: boolean
}

/** A file that the person chooses; null when they choose none. */
export function pickFile({ accept, purpose, fromCamera = false }: Wanted): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input')
    input.type = 'file'
    input.accept = accept
    if (fromCamera) input.setAttribute('capture', 'environment')
    input.style.display = 'none'
    input.dataset.purpose = purpose
    const answer = (file: File | null): void => {
      input.remove()
      resolve(file)
    }
    input.addEventListener('change', () => {
      const [file] = input.files ?? []
      answer(file ?? null)
    })
    input.addEventListener('cancel', () => {
      answer(null)
    })
    document.body.append(input)
    input.click()
  })
}
