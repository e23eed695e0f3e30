export { fill, type Messages, type Value, type WhyStep } from './whyStep.ts'
