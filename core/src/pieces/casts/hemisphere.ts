/** Zones south of the equator in which winters can freeze: IANA names, or the front of them. */
const south = [
  'Antarctica/',
  'Australia/',
  'America/Argentina/',
  'America/Asuncion',
  'America/Buenos_Aires',
  'America/Coyhaique',
  'America/La_Paz',
  'America/Lima',
  'America/Montevideo',
  'America/Punta_Arenas',
  'America/Santiago',
  'America/Sao_Paulo',
  'Africa/Gaborone',
  'Africa/Harare',
  'Africa/Johannesburg',
  'Africa/Maseru',
  'Africa/Mbabane',
  'Africa/Windhoek',
  'Atlantic/Stanley',
  'Pacific/Auckland',
  'Pacific/Chatham',
];

/** Whether winter comes in the middle of the year where a workshop's clock is kept. */
export const isSouthernHemisphere = (zone: string): boolean => south.some((front) => zone.startsWith(front));
