/** The application's role, as it was when the migrations were written. */
export const APP_ROLE = 'dewpot_app';

/** Statements that give a table to the application and wall it by workshop. `column` names the workshop in it. */
export function enableRowSecurity(table: string, column = 'workshop_id'): string[] {
  const own = `"${column}" = nullif(current_setting('app.workshop', true), '')::uuid`;
  return [
    `GRANT SELECT, INSERT, UPDATE, DELETE ON "${table}" TO ${APP_ROLE}`,
    `ALTER TABLE "${table}" ENABLE ROW LEVEL SECURITY`,
    `CREATE POLICY "${table}_own" ON "${table}" USING (${own}) WITH CHECK (${own})`,
  ];
}

/** The kinds of what a function is given, as PostgreSQL tells functions apart. */
const kinds = (name: string) => name.replace(/(\w+) ([\w[\]]+)/g, '$2');

/** Makes functions that run as the owner, each given as its name and what it is given, with what it returns and does; the application may call them. */
export const openDoors = (doors: Readonly<Record<string, string>>): string[] =>
  Object.entries(doors).flatMap(([name, rest]) => {
    const [returned = '', body = ''] = rest.split(/\s+(?=LANGUAGE)/);
    return [
      `CREATE FUNCTION ${name} RETURNS ${returned} ${body.replace('$$', 'SECURITY DEFINER SET search_path = public AS $$$$')}`,
      `REVOKE ALL ON FUNCTION ${kinds(name)} FROM PUBLIC`,
      `GRANT EXECUTE ON FUNCTION ${kinds(name)} TO ${APP_ROLE}`,
    ];
  });

/** Takes them away again. */
export const closeDoors = (doors: Readonly<Record<string, string>>): string[] =>
  Object.keys(doors).map((name) => `DROP FUNCTION ${kinds(name)}`);
