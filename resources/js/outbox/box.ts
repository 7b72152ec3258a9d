import type { FactKind } from '@/api/types'
import { openDB, type DBSchema, type IDBPDatabase } from 'idb'

/** A fact as the server takes it. */
export interface Fact {
  id: string
  device: string
  sequence: number
  taken_at: string
  kind: 'take' | 'withdrawal'
  slot?: string
  text?: string
  end?: string | null
  /** Where it was taken: what the page showed then. */
  place?: Record<string, unknown>
  withdraws?: string
}

/** Something that happened at the saw, in the shop or on fitting day, or that the log is told, as the server takes it. */
export interface Done {
  id: string
  device: string
  sequence: number
  at: string
  kind: FactKind
  release?: string
  part: string | null
  amount?: number
  dimension?: string
  text?: string
  why?: string
  /** What else is told of it, by its kind. */
  body?: Record<string, unknown>
  /** Of what is spoiled: rectangles as typed, along and across the grain. */
  remains?: { along: string; across: string }[]
  withdraws: string[]
}

/** What was typed and has not reached the server: one press of Enter, with all its facts. */
export interface Waiting {
  order?: number
  id: string
  /** The account that made it: nobody else's session may send it. */
  account: string
  space: string
  /** Of what happened at the saw or in the shop: the job that it belongs to; the space is empty then. */
  job?: string
  done?: Done[]
  slot: string
  label: string
  text: string
  end: string | null
  facts: Fact[]
  /** A photo goes on its own, with the fact that tells what it shows. */
  photo?: Blob
  /** The server's sentence, when it would not take it. */
  refused?: string
  /** How often the server failed over this one. */
  failures?: number
}

interface Schema extends DBSchema {
  waiting: { key: number; value: Waiting; indexes: { account: string } }
}

let opened: Promise<IDBPDatabase<Schema>> | null = null

function box(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('incastro', 1, {
    upgrade(db) {
      const store = db.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true })
      store.createIndex('account', 'account')
    },
  })
  return opened
}

/** Puts one in, behind those that wait already; gives its place. */
export async function put(waiting: Waiting): Promise<number> {
  return (await box()).add('waiting', waiting)
}

/** Those of an account, in the order in which they were made. */
export async function of(account: string): Promise<Waiting[]> {
  return (await box()).getAllFromIndex('waiting', 'account', account)
}

export async function change(waiting: Waiting): Promise<void> {
  await (await box()).put('waiting', waiting)
}

export async function remove(waiting: Waiting): Promise<void> {
  if (waiting.order !== undefined) await (await box()).delete('waiting', waiting.order)
}
