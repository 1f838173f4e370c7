// Stands in for the server-only package in Vitest, where it would throw.
export {};
