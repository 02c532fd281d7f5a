/** Of the program, as package.json has it; a frozen verdict says which one made it. */
export const CODE_VERSION = '0.1.0';
