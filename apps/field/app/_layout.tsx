import { AtkinsonHyperlegibleNext_400Regular } from '@expo-google-fonts/atkinson-hyperlegible-next/400Regular'
import { AtkinsonHyperlegibleNext_700Bold } from '@expo-google-fonts/atkinson-hyperlegible-next/700Bold'
import { IBMPlexMono_600SemiBold } from '@expo-google-fonts/ibm-plex-mono/600SemiBold'
import { useFonts } from 'expo-font'
import { Slot } from 'expo-router'
import Head from 'expo-router/head'
import { House } from '../features/House'

export default function Layout() {
  // text shows in the system's face until ours is there
  useFonts({ AtkinsonHyperlegibleNext_400Regular, AtkinsonHyperlegibleNext_700Bold, IBMPlexMono_600SemiBold })
  return (
    <House>
      <Head>
        <title>Jokulgale</title>
      </Head>
      <Slot />
    </House>
  )
}
