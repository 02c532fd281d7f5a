// The Frictionless project's library has no types; these are of what the tests read with it.
declare module 'datapackage' {
  interface Resource {
    readonly name: string;
    read(options: { readonly keyed: true }): Promise<readonly Readonly<Record<string, unknown>>[]>;
  }
  export class Package {
    static load(
      descriptor: string,
      options: { readonly basePath: string; readonly strict: boolean },
    ): Promise<Package>;
    readonly valid: boolean;
    readonly errors: readonly unknown[];
    readonly resources: readonly Resource[];
  }
}
