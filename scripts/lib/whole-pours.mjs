/**
 * The newest pours with their plans, which lists leave out.
 * @param {import('@playwright/test').APIRequestContext} request @returns {Promise<any[]>}
 */
export async function wholePours(request) {
  const { rows } = await (await request.get('/api/pours')).json();
  const pours = [];
  // One after another: many at once are refused by a server that is busy.
  for (const { id } of rows) pours.push(await (await request.get(`/api/pours/${id}`)).json());
  return pours;
}
