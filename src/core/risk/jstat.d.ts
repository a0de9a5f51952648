/** What the core takes of jstat: the standard normal's distribution. */
declare module 'jstat' {
  interface Normal {
    inv(p: number, mean: number, sd: number): number
    cdf(x: number, mean: number, sd: number): number
    pdf(x: number, mean: number, sd: number): number
  }
  const jStat: { normal: Normal }
  export default jStat
}
