// the page's data are on the device, and the server may be out of reach
export const ssr = false;
