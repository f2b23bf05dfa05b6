export { aspectOf, type End, endOf, readStep, rowOf, type StepRef, subjectIn, thingOf, writeSetting, writeStep } from './ref';
