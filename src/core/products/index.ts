export type { Product, ProductBody, ProductForm, Allergen, Way, Range, Manner } from './types';
export { SHIPPED_PRODUCTS, SHIPPED_PRODUCT_IDS } from './catalogue';
export { viscosityLaw } from './viscosity';
export { waysOf, mannerOf, mannerName, layAndPull, isLaterOnly } from './ways';
export type { MannerName } from './ways';
