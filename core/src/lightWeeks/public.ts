export { recipeKinds, recipeOf, type RecipeKind } from './registry.ts'
export { everyNth, placeRecipe, type Placing } from './place.ts'
