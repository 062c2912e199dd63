/**
 * The number of this API. It rises when a page of the version before can no longer speak to the server, or the reverse; both
 * say it in the header {@link VERSION_HEADER}.
 */
export const API_VERSION = 3;
export const VERSION_HEADER = 'incremen-api';
