import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'

/** Every site with its units; a few letters find one. */
export function SitesScreen() {
  const router = useRouter()
  const places = useAppSelector((state) => state.places.places)
  const [sought, setSought] = useState('')
  const fits = (...texts: readonly string[]): boolean =>
    texts.some((text) => text.toLowerCase().includes(sought.trim().toLowerCase()))
  const sites = (places?.sites ?? [])
    .map((site) => ({
      site,
      units: (places?.units ?? []).filter(
        (unit) =>
          unit.site === site.id && (fits(site.name, site.address) || fits(unit.label, unit.place, unit.make)),
      ),
    }))
    .filter(({ units }) => units.length > 0)
  return (
    <Screen head={<Heading title="Sites and units" back="/" />}>
      <Field label="Find" value={sought} onChangeText={setSought} placeholder="Site, unit or place" />
      {places === null ? <Words quiet>Sites come with the first signal.</Words> : null}
      {places !== null && sites.length === 0 ? (
        <Words quiet>{`Nothing fits “${sought}”. Try fewer letters.`}</Words>
      ) : null}
      {sites.map(({ site, units }) => (
        <View key={site.id}>
          <Words size="lead" strong role="heading" aria-level={2}>
            {site.name}
          </Words>
          <Words size="small" quiet>
            {site.address}
          </Words>
          <Press
            kind="quiet"
            title="Which thermostat, which unit"
            label={`${site.name}: which thermostat, which unit`}
            onPress={() => {
              router.navigate(`/sites/${site.id}`)
            }}
          />
          {units.map((unit) => (
            <Row
              key={unit.id}
              title={unit.label}
              below={unit.place}
              onPress={() => {
                router.navigate(`/units/${unit.id}`)
              }}
            />
          ))}
        </View>
      ))}
    </Screen>
  )
}
