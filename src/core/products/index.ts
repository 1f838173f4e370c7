export type { Product, ProductBody, ProductForm, Allergen, Way, Range, Manner } from './types';
export { ALLERGENS, PRODUCT_BODIES, PRODUCT_FORMS } from './types';
export { productFaults, boundsOf, BODIES_OF, MANNERS_OF } from './productFaults';
export type { ProductFault, NumberBound } from './productFaults';
export { SHIPPED_PRODUCTS, SHIPPED_PRODUCT_IDS } from './catalogue';
export { viscosityLaw } from './viscosity';
export { allowsThickness, waysOf, mannerOf, mannerName, cutAs, laidAs, layAndPull, isLaterOnly } from './ways';
export type { MannerName } from './ways';
