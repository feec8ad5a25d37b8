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
