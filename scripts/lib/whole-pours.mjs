/**
 * The newest pours with their plans, which lists leave out.
 * @param {import('@playwright/test').APIRequestContext} request @returns {Promise<any[]>}
 */
export async function wholePours(request) {
  const { rows } = await (await request.get('/api/pours')).json();
  return Promise.all(
    rows.map(async (/** @type {{ id: string }} */ { id }) => (await request.get(`/api/pours/${id}`)).json()),
  );
}
