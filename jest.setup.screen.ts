import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// A shared machine has slow seconds; what should never come still fails.
configure({ asyncUtilTimeout: 15_000 });

// The garden of the tests is a British one, as most of theirs are.
Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });
