export { aspectOf, type End, endOf, readStep, rowOf, subjectIn, thingOf, writeSetting, writeStep } from './ref';
