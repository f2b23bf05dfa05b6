export { cutThread, dieFor, groovesOf, singlePointed, writeThread } from './thread';
