/* Places of a part and of a lathe. */

export const faceA = 'face A';
export const faceB = 'face B';
export const endA = 'end A';
export const endB = 'end B';
export const edgeToA = 'edge to A';
export const edgeToB = 'edge to B';
export const centreLine = 'centre line';
export const fullThread = 'full thread';
export const concentricTo = 'concentric to';
export const runsTrueTo = 'runs true to';
export const squareTo = 'square to';
export const parallelTo = 'parallel to';
export const pieceStarted = 'a piece already started';
export const theTailstock = 'the tailstock';
export const betweenCentres = 'between centres';
export const toThePoint = 'to the point';
