import * as recipes from './index.ts'
import type { Recipe } from './recipe.ts'

export type RecipeKind = keyof typeof recipes

export const recipeOf = recipes as unknown as Record<RecipeKind, Recipe<object>>
export const recipeKinds = Object.keys(recipes) as RecipeKind[]
