import { useEffect, useState } from 'react'
import { readPhoto } from '../sync/device'

interface ShownPhoto {
  /** Empty until it is known where the picture is. */
  readonly uri: string
  /** Why the server does not take it; empty where it does. */
  readonly refused: string
}

/** A picture: from this device where it has it, from the server otherwise. */
export function usePhoto(id: string): ShownPhoto {
  const [shown, setShown] = useState<ShownPhoto>({ uri: '', refused: '' })
  useEffect(() => {
    let own = ''
    void readPhoto(id).then((photo) => {
      own = photo ? URL.createObjectURL(photo.image) : ''
      setShown({ uri: own || `/api/photos/${id}`, refused: photo?.refused ?? '' })
    })
    return () => {
      if (own) URL.revokeObjectURL(own)
    }
  }, [id])
  return shown
}
