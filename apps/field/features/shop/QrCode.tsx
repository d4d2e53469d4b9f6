import Svg, { Path, Rect } from 'react-native-svg'

/** Modules of quiet around a code (ISO/IEC 18004). */
const quiet = 4
const sizeDp = 232

/**
 * A QR code of rows of modules, 1 for dark: dark on white in either scheme, for cameras read nothing else.
 */
export function QrCode({ words, modules }: { readonly words: string; readonly modules: readonly string[] }) {
  const across = modules.length + 2 * quiet
  const dark = modules.flatMap((row, y) =>
    [...row].flatMap((module, x) => (module === '1' ? [`M${x + quiet} ${y + quiet}h1v1h-1z`] : [])),
  )
  return (
    <Svg width={sizeDp} height={sizeDp} viewBox={`0 0 ${across} ${across}`} role="img" aria-label={words}>
      <Rect width={across} height={across} fill="#fff" />
      <Path d={dark.join('')} fill="#000" />
    </Svg>
  )
}
