// Clears the document after each test, of whatever file.
import { configure } from '@testing-library/react';

// A part of the page that is fetched when it is shown takes more than a second where the machine has much to do.
configure({ asyncUtilTimeout: 15_000 });
