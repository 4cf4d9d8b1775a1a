/** Room a connector needs over its own diameter on its way through a duct. Common practice, no source. */
const CONNECTOR_ROOM = 1.1;

/** What a connector takes on its way through a duct, mm across. */
export const withRoom = (connectorMm: number): number => connectorMm * CONNECTOR_ROOM;

/** Does a connector go through a duct in which nothing else lies? Diameters in mm. */
export const passesBore = (boreMm: number, connectorMm: number): boolean => withRoom(connectorMm) <= boreMm;
