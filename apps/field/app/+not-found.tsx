import { Link } from 'expo-router'
import { Heading } from '../ui/Heading'
import { Screen } from '../ui/Screen'
import { Words } from '../ui/Words'

export default function NotFound() {
  return (
    <Screen head={<Heading title="Nothing here" back="/" />}>
      <Words>There is no page at this address.</Words>
      <Link href="/">
        <Words strong>To the board</Words>
      </Link>
    </Screen>
  )
}
