/** The ladder text of parts wired to one supply, by which a part is tried alone: for tests. */
export const bench = (system: string, parts: string, rungs: string): string => `unit bench "Bench"
class bench
common SV.N
call off "Off"
call cool1 "Cooling"
zone here "Here"
part SV supply "Supply" in here : system "${system}", ohms 0.0001
${parts}
rung "Wiring" line
${rungs}
`
