import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// A shared machine has slow seconds; what should never come still fails.
configure({ asyncUtilTimeout: 15_000 });
