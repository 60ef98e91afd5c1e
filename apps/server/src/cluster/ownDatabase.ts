import type pg from 'pg'
import { withClient } from './client'
import { finishExchange } from './exchange'
import { databaseName, role } from './names'

/**
 * Sees to it that the application has a database and a role of its own. Data of before, when all stood in `postgres` and
 * belonged to the superuser, are renamed and handed over; into any other database of the application's the superuser
 * never goes.
 */
export async function ensureOwnDatabase(adminUrl: string, password: string): Promise<void> {
  const inDatabase = <T>(name: string, work: (client: pg.Client) => Promise<T>) =>
    withClient(adminUrl, work, name)
  const before = await inDatabase('postgres', async (client) => {
    const { rows } = await client.query<{ here: boolean }>(
      `select to_regclass('public.trial') is not null as here`,
    )
    return rows[0]?.here === true
  })
  await inDatabase('template1', async (client) => {
    const has = async (sql: string, value: string) => ((await client.query(sql, [value])).rowCount ?? 0) > 0
    const secret = client.escapeLiteral(password)
    const known = await has('select 1 from pg_roles where rolname = $1', role)
    await client.query(`${known ? 'alter' : 'create'} role ${role} login nosuperuser password ${secret}`)
    await finishExchange(client)
    if (!(await has('select 1 from pg_database where datname = $1', databaseName))) {
      if (before) {
        await client.query(`alter database postgres rename to ${databaseName}`)
        await client.query('create database postgres')
      } else await client.query(`create database ${databaseName}`)
    }
    await client.query(`alter database ${databaseName} owner to ${role}`)
  })
  if (!before) return
  await inDatabase(databaseName, async (client) => {
    await client.query(`alter schema public owner to ${role}`)
    const { rows } = await client.query<{ sql: string }>(
      `select format('alter %s %s owner to ${role}', case relkind when 'S' then 'sequence' else 'table' end, oid::regclass) as sql
         from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p', 'S')
           and pg_get_userbyid(relowner) <> '${role}'
           and not exists (select 1 from pg_depend where objid = pg_class.oid and deptype = 'i')
       union all
       select format('alter function %s owner to ${role}', oid::regprocedure) from pg_proc
         where pronamespace = 'public'::regnamespace and pg_get_userbyid(proowner) <> '${role}'`,
    )
    for (const { sql } of rows) await client.query(sql)
  })
}
