export { cutThread, dieFor, askForGauge, groovesOf, singlePointed, threadGauge, threadProof, writeThread } from './thread';
