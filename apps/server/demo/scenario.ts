import type { EntryBody } from '@jokulgale/core/visit/entry'

/** The invented scenario: nobody and nothing in it exists. */
export const shop = { name: 'Skerry Light Mechanical' }

export const demoSignIn = { email: 'ines@skerry.example', password: 'north-stairs-480' }

export const technicians = [
  { name: 'Ines Varga', role: 'owner', ...demoSignIn },
  { name: 'Tor Aldwin', role: 'technician', email: 'tor@skerry.example', password: 'north-stairs-480' },
] as const

export const demoSites = [
  {
    name: 'Sealane Climbing Hall',
    address: '4 Sealane, Varrick Sound',
    access: 'Roof ladder in the loading bay; key at the front desk',
  },
  {
    name: 'Cordwain Row',
    address: '1–36 Cordwain Row, Varrick Sound',
    access: 'Caretaker lets you in; hatches in the hall ceilings',
  },
  {
    name: 'Tidemark Print Studios',
    address: 'Quay 7, Varrick Sound',
    access: 'Ask for the shift lead; hearing protection on the press floor',
  },
  {
    name: 'The Glasshouse nursery school',
    address: '22 Lantern Hill, Varrick Sound',
    access: 'After 15:30 only; sign the visitors’ book',
  },
] as const

export type SiteName = (typeof demoSites)[number]['name']

export interface DemoUnit {
  readonly site: SiteName
  readonly label: string
  readonly place: string
  readonly diagram: string
  readonly make: string
  readonly serial: string
  readonly installed: string
}

export const demoUnits: readonly DemoUnit[] = [
  {
    site: 'Sealane Climbing Hall',
    label: 'RTU-1',
    place: 'Roof, north end, serves the main wall',
    diagram: 'rooftop-two-stage',
    make: 'Fjordline 120',
    serial: 'FL-0117-2231',
    installed: '2014-05-12',
  },
  {
    site: 'Sealane Climbing Hall',
    label: 'RTU-2',
    place: 'Roof, south end, serves the bouldering room',
    diagram: 'rooftop-two-stage',
    make: 'Fjordline 120',
    serial: 'FL-0117-2232',
    installed: '2014-05-12',
  },
  {
    site: 'Sealane Climbing Hall',
    label: 'HP-1',
    place: 'Roof, over the café',
    diagram: 'package-heat-pump',
    make: 'Fjordline HP40',
    serial: 'FH-0318-0410',
    installed: '2016-09-30',
  },
  {
    site: 'Sealane Climbing Hall',
    label: 'HP-2',
    place: 'Roof, over the office',
    diagram: 'package-heat-pump-unfused',
    make: 'Fjordline HP40',
    serial: 'FH-0312-0177',
    installed: '2012-04-02',
  },
  {
    site: 'Cordwain Row',
    label: 'Flat 3 FC',
    place: 'Hall ceiling, flat 3',
    diagram: 'fan-coil-two-pipe',
    make: 'Brackwater 2P',
    serial: 'BW-21-0303',
    installed: '2008-10-10',
  },
  {
    site: 'Cordwain Row',
    label: 'Flat 14 FC',
    place: 'Hall ceiling, flat 14',
    diagram: 'fan-coil-cooling',
    make: 'Brackwater C',
    serial: 'BW-19-0314',
    installed: '2008-10-10',
  },
  {
    site: 'Cordwain Row',
    label: 'Flat 22 SHP',
    place: 'Closet, flat 22; outdoor section on the roof',
    diagram: 'split-heat-pump',
    make: 'Brackwater SH18',
    serial: 'BS-14-0322',
    installed: '2013-03-21',
  },
  {
    site: 'Tidemark Print Studios',
    label: 'RTU-A',
    place: 'Roof over the press floor',
    diagram: 'rooftop-480',
    make: 'Fjordline 480',
    serial: 'FX-0920-0044',
    installed: '2010-06-18',
  },
  {
    site: 'Tidemark Print Studios',
    label: 'AH-2',
    place: 'Mezzanine, bindery',
    diagram: 'air-handler-heat',
    make: 'Ness AH3',
    serial: 'NA-0611-0912',
    installed: '2011-11-07',
  },
  {
    site: 'Tidemark Print Studios',
    label: 'AH-4',
    place: 'Mezzanine, darkroom side',
    diagram: 'air-handler-drive',
    make: 'Ness AH3-D',
    serial: 'ND-0611-0930',
    installed: '2011-11-07',
  },
  {
    site: 'The Glasshouse nursery school',
    label: 'FC-1',
    place: 'Plant closet, east room',
    diagram: 'fan-coil-hydronic',
    make: 'Ness HC',
    serial: 'NH-0814-1105',
    installed: '2015-08-01',
  },
  {
    site: 'The Glasshouse nursery school',
    label: 'RTU-E',
    place: 'Roof, east wing',
    diagram: 'rooftop-enthalpy',
    make: 'Fjordline 90',
    serial: 'FE-0217-3310',
    installed: '2017-02-14',
  },
  {
    site: 'The Glasshouse nursery school',
    label: 'PKG-1',
    place: 'Yard, behind the kitchen',
    diagram: 'package-proving',
    make: 'Fjordline P60',
    serial: 'FP-1119-0021',
    installed: '2019-11-25',
  },
]

/** A date so many days from now. */
const inDays = (days: number): string => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)

export interface DemoVisit {
  readonly site: SiteName
  readonly unit: string
  readonly daysAgo: number
  readonly by: string
  readonly entries: readonly EntryBody[]
}

export const demoVisits: readonly DemoVisit[] = [
  {
    site: 'Sealane Climbing Hall',
    unit: 'RTU-1',
    daysAgo: 0,
    by: 'Ines Varga',
    entries: [
      {
        kind: 'complaint',
        complaint: 'not-cooling',
        words: 'Climbers are melting. It blows, but it is not cold.',
      },
    ],
  },
  {
    site: 'Sealane Climbing Hall',
    unit: 'RTU-2',
    daysAgo: 0,
    by: 'Tor Aldwin',
    entries: [
      { kind: 'complaint', complaint: 'warm-afternoons', words: 'Fine in the morning, warm every afternoon' },
    ],
  },
  {
    site: 'Cordwain Row',
    unit: 'Flat 22 SHP',
    daysAgo: 0,
    by: 'Ines Varga',
    entries: [{ kind: 'complaint', complaint: 'will-not-stop', words: 'Too hot, and the fan never rests' }],
  },
  {
    site: 'Sealane Climbing Hall',
    unit: 'RTU-1',
    daysAgo: 371,
    by: 'Tor Aldwin',
    entries: [
      { kind: 'complaint', complaint: 'not-cooling', words: 'No cold air since the weekend' },
      { kind: 'arrived' },
      { kind: 'call', call: 'cool1' },
      { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25.1 },
      { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'CC1.A2', value: 24.8 },
      { kind: 'observation', what: 'dropped-out', of: 'CC1' },
      { kind: 'repair', of: 'CC1', words: 'Contactor replaced, three poles, 24 V coil, with auxiliary' },
      { kind: 'proof', call: 'cool1', words: '15.4, 15.6, 15.5 A; 74 °F return, 55 °F supply', passed: true },
      { kind: 'sign-off', outcome: 'repaired', words: 'Contactor 1 would not pull in; replaced.' },
    ],
  },
  {
    site: 'Cordwain Row',
    unit: 'Flat 3 FC',
    daysAgo: 0,
    by: 'Tor Aldwin',
    entries: [
      {
        kind: 'complaint',
        complaint: 'no-heat',
        words: 'Cold since last night, the new baby sleeps in that room',
      },
    ],
  },
  {
    site: 'Cordwain Row',
    unit: 'Flat 14 FC',
    daysAgo: 6,
    by: 'Tor Aldwin',
    entries: [
      { kind: 'complaint', complaint: 'water', words: 'Water from the hatch, and it stopped' },
      { kind: 'arrived' },
      { kind: 'observation', what: 'wet', of: 'FLT' },
      { kind: 'repair', of: 'DRN', fault: 'DRN:blocked', words: 'Trap cleared, pan dried' },
      { kind: 'action', do: 'bridge', of: 'FLT.1', to: 'FLT.2' },
      {
        kind: 'temporary-left',
        entry: '#4',
        hazard: 'Water is not noticed: look at the pan every evening',
        reason: 'Float switch on order',
        authorisedBy: 'Caretaker B. Holm',
        expires: inDays(4),
        told: 'Flat 14, caretaker',
      },
      {
        kind: 'defect',
        words: 'Pan rusted at one corner',
        recommend: 'New pan with the float switch',
        reason: 'will leak within the year',
      },
      {
        kind: 'sign-off',
        outcome: 'restricted',
        words: 'Drain cleared, it cools again. The float switch is bridged until the new one comes.',
        told: 'Flat 14, caretaker',
        until: inDays(4),
      },
    ],
  },
  ...[720, 410, 65].map((daysAgo, k): DemoVisit => ({
    site: 'Tidemark Print Studios',
    unit: 'RTU-A',
    daysAgo,
    by: 'Ines Varga',
    entries: [
      { kind: 'complaint', complaint: 'not-cooling', words: 'Press floor warm again' },
      { kind: 'arrived' },
      { kind: 'call', call: 'cool1' },
      { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'CC1.A2', value: 25.2 },
      { kind: 'repair', of: 'CC1', fault: 'CC1:pole2-burnt', words: 'Contactor 1 replaced, pole 2 burnt' },
      {
        kind: 'proof',
        call: 'cool1',
        words: '',
        passed: true,
        values: [{ what: 'Compressor 1, at C1.T1', value: 20.4 + 1.4 * k, unit: 'A', expected: 20.2 }],
      },
      {
        kind: 'sign-off',
        outcome: 'repaired',
        words: 'Contactor replaced. Third time looks for a cause: lines, unbalance, short cycling.',
      },
    ],
  })),
]
