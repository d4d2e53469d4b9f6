import type { MadeLink } from '@jokulgale/contract/people'
import { CopyPress } from '../../ui/CopyPress'
import { nearDayWords } from '../../ui/days'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'

/** A link that has just been made: shown once, to be handed on. */
export function LinkToHand({ link }: { readonly link: MadeLink }) {
  const address = `${window.location.origin}${link.path}`
  const until = nearDayWords(link.expiresAt)
  return (
    <Stack gap="small">
      <Words selectable strong>
        {address}
      </Words>
      <Words size="small" quiet>{`Good for one use, until ${until}. It is not shown again.`}</Words>
      {link.mailedTo === null ? null : (
        <Words size="small">{`A letter with a link of its own is on its way to ${link.mailedTo}. Using either closes both.`}</Words>
      )}
      <CopyPress title="Copy the link" text={address} />
    </Stack>
  )
}
