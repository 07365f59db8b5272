/** Reference libraries that ship no types: only what the tests ask of them. */
declare module 'psychrolib' {
  const psychrolib: {
    SI: number;
    SetUnitSystem(units: number): void;
    GetSatVapPres(tempC: number): number;
    GetStandardAtmPressure(altitudeM: number): number;
  };
  export default psychrolib;
}
