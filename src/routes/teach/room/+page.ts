// it shows what the teacher's page on this machine says, and the server may not be there
export const ssr = false;
