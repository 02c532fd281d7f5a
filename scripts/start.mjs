// npm start: the application with the garden's own data, empty the first time.
import { buildWhatChanged, installWhatIsMissing, serve } from './steps.mjs';

if (installWhatIsMissing() && buildWhatChanged()) await serve();
else process.exitCode = 1;
