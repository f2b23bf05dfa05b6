export { bentLine, deflectionAt, type PlainBar, secondMoment, weakestPlace } from './plainBar';
