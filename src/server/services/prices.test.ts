import { describe, expect, it } from 'vitest';
import { openStudioForTests } from '../../demo/studioForTests';
import { loadPrices, savePrices } from './prices';
