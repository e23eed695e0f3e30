export { declareSteps } from './declareSteps.ts'
export { fieldWords, type Fields, type FieldWords } from './field.ts'
export { fill, type Messages, type Value, type WhyStep } from './whyStep.ts'
