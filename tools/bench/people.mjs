// Many people at once, on an instance of its own: what each kind of request costs in CPU, one after another, and how long it takes
// while all of them work for a minute. Each comes from a loopback address of its own, as from a device of their own.
import { execFileSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { readFileSync } from 'node:fs'
import http from 'node:http'

const base = new URL(process.env.APP_URL)
const people = Number(process.env.PEOPLE)
const seconds = Number(process.env.SECONDS ?? 60)
const file = readFileSync('tests/examples/landing-alcove-without-doors.json')

class Person {
  constructor(n) {
    this.address = `127.0.${1 + Math.floor(n / 200)}.${1 + (n % 200)}`
    this.cookies = {}
    this.agent = new http.Agent({ keepAlive: true, localAddress: this.address, maxSockets: 2 })
    this.sequence = Date.now() * 1000 + n
    this.device = randomUUID()
  }

  ask(method, path, body, type = 'application/json') {
    const data = body === undefined ? null : Buffer.isBuffer(body) ? body : Buffer.from(JSON.stringify(body))
    const headers = {
      Accept: 'application/json',
      Origin: base.origin,
      'X-Requested-With': 'XMLHttpRequest',
      'X-XSRF-TOKEN': decodeURIComponent(this.cookies['XSRF-TOKEN'] ?? ''),
      Cookie: Object.entries(this.cookies).map(([name, value]) => `${name}=${value}`).join('; '),
      ...(data ? { 'Content-Type': type, 'Content-Length': data.length } : {}),
    }
    return new Promise((resolve) => {
      const request = http.request({ host: base.hostname, port: base.port, method, path, headers, agent: this.agent }, (response) => {
        for (const cookie of response.headers['set-cookie'] ?? []) {
          const [, name, value] = /^([^=]+)=([^;]*)/.exec(cookie)
          this.cookies[name] = value
        }
        const parts = []
        response.on('data', (part) => parts.push(part))
        response.on('end', () => {
          let json = null
          try {
            json = JSON.parse(Buffer.concat(parts).toString())
          } catch {
            // An answer without a body, or no JSON.
          }
          resolve({ status: response.statusCode, json })
        })
      })
      request.on('error', () => resolve({ status: 0, json: null }))
      request.setTimeout(30_000, () => request.destroy())
      request.end(data ?? undefined)
    })
  }

  /** A new account with the landing alcove in it. */
  async arrives() {
    await this.ask('GET', '/api/session')
    this.email = `${randomUUID()}@example.org`
    await this.ask('POST', '/api/account', { name: 'Somebody', email: this.email, password: 'oak tape lintel' })
    const homes = await this.ask('GET', '/api/homes')
    const mark = '----incastro'
    const form = Buffer.concat([Buffer.from(`--${mark}\r\nContent-Disposition: form-data; name="file"; filename="job.json"\r\nContent-Type: application/json\r\n\r\n`), file, Buffer.from(`\r\n--${mark}--\r\n`)])
    this.job = (await this.ask('POST', `/api/homes/${homes.json[0].id}/import`, form, `multipart/form-data; boundary=${mark}`)).json.id
    this.space = (await this.ask('GET', `/api/jobs/${this.job}?station=measure`)).json.job.spaces[0]
    this.run = this.space.choices.layout.runs[0].id
    this.last = null
  }

  signIn = () => this.ask('POST', '/api/session', { email: this.email, password: 'oak tape lintel' })
  bare = () => this.ask('GET', '/api/session')
  list = () => this.ask('GET', '/api/homes')
  open = (station) => () => this.ask('GET', `/api/jobs/${this.job}?station=${station}`)
  measure = this.open('measure')
  fit = this.open('fit')
  sheets = this.open('sheets')

  /** A reading corrected: the one before it is taken back with it. */
  reading = async () => {
    const fact = () => ({ id: randomUUID(), device: this.device, sequence: ++this.sequence, taken_at: new Date().toISOString() })
    const take = { ...fact(), kind: 'take', slot: 'corner-left', text: (90 + Math.round(Math.random() * 9) / 10).toFixed(1) }
    const back = this.last ? [{ ...fact(), kind: 'withdrawal', withdraws: this.last }] : []
    this.last = take.id
    return this.ask('POST', `/api/spaces/${this.space.id}/facts`, { facts: [...back, take], station: 'measure' })
  }

  edit = async () => {
    const answer = await this.ask('POST', `/api/jobs/${this.job}/edits`, { target: this.space.id, version: this.space.version, path: `layout.runs.${this.run}.depth`, value: String(330 + Math.floor(Math.random() * 30)), station: 'fit' })
    const now = answer.json?.job?.spaces?.[0]
    if (now) this.space = now
    return answer
  }
}

/** CPU in ms that the workers of PHP and the processes of the database have used. */
function cpu() {
  const ticks = { php: 0, database: 0 }
  const fpm = readFileSync(`${process.env.VAR}/run/fpm.pid`, 'utf8').trim()
  const cluster = readFileSync(`${process.env.VAR}/postgres/postmaster.pid`, 'utf8').split('\n')[0].trim()
  for (const line of execFileSync('ps', ['-eo', 'pid,ppid']).toString().trim().split('\n').slice(1)) {
    const [pid, parent] = line.trim().split(/\s+/)
    const whose = parent === fpm ? 'php' : parent === cluster ? 'database' : null
    if (!whose) continue
    try {
      const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')
      ticks[whose] += Number(fields[11]) + Number(fields[12])
    } catch {
      // It has ended meanwhile.
    }
  }
  return { php: ticks.php * 10, database: ticks.database * 10 }
}

const at = (sorted, share) => sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? 0
const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
const column = (number, width = 7) => number.toFixed(0).padStart(width)

const first = new Person(0)
await first.arrives()
const kinds = { 'bare, with its session': 'bare', 'open Measure': 'measure', 'open Fit': 'fit', 'open Sheets': 'sheets', 'a reading': 'reading', 'an edit': 'edit', 'the list of jobs': 'list', 'sign in': 'signIn' }
console.log('CPU of a request, one after another      PHP ms   database ms   × bare')
let bare = null
for (const [name, kind] of Object.entries(kinds)) {
  const times = kind === 'signIn' ? 12 : 40
  for (let i = 0; i < 4; i++) await first[kind]()
  const before = cpu()
  for (let i = 0; i < times; i++) await first[kind]()
  const after = cpu()
  const php = (after.php - before.php) / times
  const database = (after.database - before.database) / times
  bare ??= php + database
  console.log(`${name.padEnd(38)} ${php.toFixed(1).padStart(7)} ${database.toFixed(1).padStart(13)} ${((php + database) / bare).toFixed(1).padStart(8)}`)
}

const crowd = Array.from({ length: people }, (_, n) => new Person(n + 1))
for (const person of crowd) await person.arrives()
const taken = {}
let errors = 0
const ends = Date.now() + seconds * 1000
async function timed(name, person, kind) {
  const began = performance.now()
  const { status } = await person[kind]()
  if (status < 200 || status >= 300) errors++
  ;(taken[name] ??= []).push(performance.now() - began)
}
/** A reading every 3 s, an edit every 5, Fit and Sheets every 10, the list every 30; each begins at a moment of their own. */
async function works(person) {
  const every = { 'a reading': 3, 'an edit': 5, 'open Fit': 10, 'open Sheets': 10, 'the list of jobs': 30, 'bare, with its session': 30 }
  const due = Object.fromEntries(Object.entries(every).map(([name, pause]) => [name, Date.now() + Math.random() * pause * 1000]))
  await wait(Math.random() * 3000)
  await timed('sign in', person, 'signIn')
  while (Date.now() < ends) {
    const [name] = Object.entries(due).sort((a, b) => a[1] - b[1])[0]
    await wait(Math.max(0, due[name] - Date.now()))
    if (Date.now() >= ends) break
    due[name] = Math.max(due[name], Date.now() - 1000) + every[name] * 1000
    await timed(name, person, kinds[name])
  }
}
const before = cpu()
const began = Date.now()
await Promise.all(crowd.map(works))
const lasted = (Date.now() - began) / 1000
const after = cpu()
const all = Object.values(taken).flat().sort((a, b) => a - b)
console.log(`\n${people} people for ${lasted.toFixed(0)} s                         p50     p95     p99 ms   requests`)
for (const [name, times] of [...Object.entries(taken), ['all', all]]) {
  const sorted = [...times].sort((a, b) => a - b)
  console.log(`${name.padEnd(36)} ${column(at(sorted, 0.5))} ${column(at(sorted, 0.95))} ${column(at(sorted, 0.99))}      ${column(times.length)}`)
}
console.log(`${(all.length / lasted).toFixed(1)} requests a second, ${errors} errors, CPU ${((after.php - before.php + after.database - before.database) / 10 / lasted).toFixed(0)} % of one core   (goal: p95 at most 500 ms, no errors)`)
process.exit(0)
