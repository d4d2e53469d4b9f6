import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import type { SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import { Check } from '../../ui/Check'
import { Field } from '../../ui/Field'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { useMayEdit } from './useMayEdit'
import { VisitsFound } from './VisitsFound'

interface SiteWithUnits {
  readonly site: SiteRecord
  readonly units: readonly UnitRecord[]
}

/** Every site with its units; a few letters find one; new ones are made here. */
export function SitesScreen() {
  const router = useRouter()
  const mayEdit = useMayEdit()
  const places = useAppSelector((state) => state.places.places)
  const [sought, setSought] = useState('')
  const [archived, setArchived] = useState(false)
  const hasArchived = [...(places?.sites ?? []), ...(places?.units ?? [])].some((place) => place.archived)
  const found = useFound(sought, archived)
  return (
    <Screen
      head={<Heading title="Sites and units" back="/" />}
      foot={
        mayEdit ? (
          <Line padding="medium" gap="small">
            <Press
              title="From a list"
              label="From a list of units"
              onPress={() => {
                router.navigate('/sites/import')
              }}
            />
            <Stack grows>
              <Press
                kind="main"
                title="Add a site"
                onPress={() => {
                  router.navigate('/sites/new')
                }}
              />
            </Stack>
          </Line>
        ) : undefined
      }
    >
      <Field
        label="Find"
        value={sought}
        onChangeText={setSought}
        placeholder="Site, unit, kind, make, serial, or words of a visit"
      />
      {hasArchived ? (
        <Check
          title="Show what is archived"
          on={archived}
          onPress={() => {
            setArchived(!archived)
          }}
        />
      ) : null}
      {places === null ? <Words quiet>Sites come with the first signal.</Words> : null}
      {places !== null && found.length === 0 ? (
        <Words quiet>
          {sought === ''
            ? 'No sites yet. Add the first with the button below, or bring in a list.'
            : `Nothing fits “${sought}”. Try fewer letters.`}
        </Words>
      ) : null}
      {found.map((each) => (
        <SiteUnits key={each.site.id} {...each} mayEdit={mayEdit} />
      ))}
      <VisitsFound sought={sought} />
    </Screen>
  )
}

/** Sites and units that a few letters fit; a site whose own words fit comes with all of its units. */
function useFound(sought: string, archived: boolean): readonly SiteWithUnits[] {
  const places = useAppSelector((state) => state.places.places)
  const diagrams = new Map((places?.diagrams ?? []).map(({ id, title }) => [id, title]))
  const letters = sought.trim().toLowerCase()
  const fits = (...texts: readonly string[]): boolean =>
    texts.some((text) => text.toLowerCase().includes(letters))
  const shows = (place: { readonly archived: boolean }): boolean => archived || !place.archived
  return (places?.sites ?? [])
    .filter(shows)
    .map((site) => ({
      site,
      isFound: fits(site.name, site.address),
      units: (places?.units ?? []).filter(
        (unit) =>
          unit.site === site.id &&
          shows(unit) &&
          (fits(site.name, site.address) ||
            fits(unit.label, unit.place, unit.make, unit.serial, diagrams.get(unit.diagram) ?? '')),
      ),
    }))
    .filter(({ isFound, units }) => isFound || units.length > 0)
}

function SiteUnits({ site, units, mayEdit }: SiteWithUnits & { readonly mayEdit: boolean }) {
  const router = useRouter()
  return (
    <View>
      <Words size="lead" strong role="heading" aria-level={2}>
        {site.archived ? `${site.name} (archived)` : site.name}
      </Words>
      <Words size="small" quiet>
        {site.address}
      </Words>
      <Line wraps>
        {units.length > 1 ? (
          <Press
            kind="quiet"
            title="Which thermostat, which unit"
            label={`${site.name}: which thermostat, which unit`}
            onPress={() => {
              router.navigate(`/sites/${site.id}`)
            }}
          />
        ) : null}
        {mayEdit ? (
          <>
            <Press
              kind="quiet"
              title="Add a unit"
              label={`${site.name}: add a unit`}
              onPress={() => {
                router.navigate(`/units/new?site=${site.id}`)
              }}
            />
            <Press
              kind="quiet"
              title="Edit"
              label={`${site.name}: edit the site`}
              onPress={() => {
                router.navigate(`/sites/${site.id}/edit`)
              }}
            />
          </>
        ) : null}
        {units.length > 0 ? (
          <Press
            kind="quiet"
            title="Labels"
            label={`${site.name}: labels with codes, as PDF`}
            onPress={() => {
              window.open(`/api/labels.pdf?site=${site.id}`, '_blank')
            }}
          />
        ) : null}
      </Line>
      {units.map((unit) => (
        <Row
          key={unit.id}
          title={unit.archived ? `${unit.label} (archived)` : unit.label}
          below={unit.place}
          label={unit.label}
          onPress={() => {
            router.navigate(`/units/${unit.id}`)
          }}
        />
      ))}
    </View>
  )
}
