import { configure } from '@testing-library/react';

/** What never comes is a failure after this long; a busy machine takes its time. */
configure({ asyncUtilTimeout: 60_000 });
