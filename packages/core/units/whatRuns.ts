/**
 * Which load of each built-in unit runs in which of its calls, healthy, and what it draws in amperes: read
 * line by line, and once more whenever a line changes.
 */
export const whatRuns: Readonly<Record<string, string>> = {
  'air-handler-drive': `
                                          off        fan      heat1      heat2      cool1
IFM Blower motor                                     7.6        7.6        7.6        7.6
HB1 Heater bank 1                                              10.4       10.4
HB2 Heater bank 2                                                         10.4
`,
  'air-handler-drive-running': `
                                          off        fan      heat1      heat2      cool1
IFM Blower motor                                     6.9        6.9        6.9        6.9
HB1 Heater bank 1                                              10.4       10.4
HB2 Heater bank 2                                                         10.4
`,
  'air-handler-heat': `
                                          off        fan      heat1      heat2      cool1
IFM Blower motor                                     7.6        7.6        7.6        7.6
HB1 Heater bank 1                                              10.4       10.3
HB2 Heater bank 2                                                         10.3
HB3 Heater bank 3                                                         10.3
`,
  'fan-coil-cooling': `
                                          off        fan      cool1
IFM Fan motor                                        1.2        1.2
C1 Compressor                                                   8.7
FM Condenser fan                                                1.1
`,
  'fan-coil-hydronic': `
                                          off        fan      heat1      cool1
PMP Zone pump                                                   1.5
IFM Fan motor                                        2.2        2.2        2.2
`,
  'fan-coil-two-pipe': `
                                          off        fan      cool1      heat1      heat2
HE1 Heater element                                                        12.4
IFM Fan motor                                        1.0        1.0        1.0        1.0
`,
  'package-heat-pump': `
                                          off        fan      cool1      heat1      heat2  emergency    defrost
C1 Compressor                                                  18.3       18.3       18.2                  18.2
CH Crankcase heater                       0.2        0.2        0.2        0.2        0.2        0.2        0.2
FM Outdoor fan                                                  1.7        1.7        1.7
IFM Blower motor                                     3.8        3.8        3.8        3.7        3.8        3.7
HE1 Heater element 1                                                                 19.7       19.8       19.8
HE2 Heater element 2                                                                 19.7       19.8
`,
  'package-heat-pump-unfused': `
                                          off        fan      cool1      heat1      heat2  emergency    defrost
C1 Compressor                                                  18.3       18.3       18.2                  18.2
CH Crankcase heater                       0.2        0.2        0.2        0.2        0.2        0.2        0.2
FM Outdoor fan                                                  1.7        1.7        1.7
IFM Blower motor                                     3.8        3.8        3.8        3.7        3.8        3.7
HE1 Heater element 1                                                                 19.7       19.8       19.8
HE2 Heater element 2                                                                 19.7       19.8
`,
  'package-proving': `
                                          off        fan      cool1      cool2      heat1
C1 Compressor 1                                                13.0       13.0
C2 Compressor 2                                                           13.0
CH1 Crankcase heater 1                    0.2        0.2        0.2        0.2        0.2
CH2 Crankcase heater 2                    0.2        0.2        0.2        0.2        0.2
FM Condenser fan                                                2.5        2.5
IFM Blower motor                                     5.0        5.0        5.0        5.0
HB1 Heater bank                                                                      19.0
`,
  'rooftop-480': `
                                          off        fan      cool1      cool2      heat1
DA Outdoor damper actuator                0.3        0.3        0.3        0.3        0.3
C1 Compressor 1                                                25.9       25.8
C2 Compressor 2                                                           19.4
CH1 Crankcase heater 1                    0.2        0.2        0.2        0.2        0.2
CH2 Crankcase heater 2                    0.2        0.2        0.2        0.2        0.2
FM1 Condenser fan 1                                             1.4        1.3
FM2 Condenser fan 2                                             1.4        1.3
IFM Blower motor                                     8.1        8.1        8.1        8.1
IDM Inducer motor                                                                     0.6
IGN Igniter
`,
  'rooftop-enthalpy': `
                                          off        fan      cool1      cool2      heat1
DA Outdoor damper actuator                0.3        0.3        0.3        0.3        0.3
C1 Compressor 1                                                15.7       15.7
C2 Compressor 2                                                           13.1
CH1 Crankcase heater 1                    0.2        0.2        0.2        0.2        0.2
CH2 Crankcase heater 2                    0.2        0.2        0.2        0.2        0.2
FM1 Condenser fan 1                                             2.3        2.3
FM2 Condenser fan 2                                             2.3        2.3
IFM Blower motor                                     7.4        7.4        7.3        7.4
IDM Inducer motor                                                                     1.1
IGN Igniter
`,
  'rooftop-two-stage': `
                                          off        fan      cool1      cool2      heat1
DA Outdoor damper actuator                0.3        0.3        0.3        0.3        0.3
C1 Compressor 1                                                15.7       15.7
C2 Compressor 2                                                           13.1
CH1 Crankcase heater 1                    0.2        0.2        0.2        0.2        0.2
CH2 Crankcase heater 2                    0.2        0.2        0.2        0.2        0.2
FM1 Condenser fan 1                                             2.3        2.3
FM2 Condenser fan 2                                             2.3        2.3
IFM Blower motor                                     7.4        7.4        7.3        7.4
IDM Inducer motor                                                                     1.1
IGN Igniter
`,
  'split-heat-pump': `
                                          off        fan      cool1      heat1      heat2  emergency    defrost
IFM Blower motor                                     3.0        3.0        3.0        3.0        3.0        3.0
HE1 Heater element 1                                                                 17.8       17.8       17.8
HE2 Heater element 2                                                                 14.2       14.3       14.2
C1 Compressor                                                  12.5       12.5       12.5                  12.5
CH Crankcase heater                       0.1        0.1        0.1        0.1        0.1        0.1        0.1
FM Outdoor fan                                                  1.4        1.4        1.3
`,
  'terminal-box': `
                                          off        fan      heat1      heat2
IFM Fan motor                                        1.6        1.5        1.5
HB1 Heater element 1                                           14.4       14.4
HB2 Heater element 2                                                      14.4
`,
  'unit-heater': `
                                          off      heat1
IFM Fan motor                                        3.3
IDM Inducer motor                                    1.2
IGN Igniter
`,
}
