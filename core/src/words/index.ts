export { declareSteps } from './declareSteps.ts'
export { fill, type Messages, type Value, type WhyStep } from './whyStep.ts'
