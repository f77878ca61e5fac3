// what it shows lies on the device, and the server may not be there
export const ssr = false;
