/** Languages that most of the web is written in, the most frequent first; what a list that has to be short starts with. */
export const commonLanguages: readonly string[] = (
  'en es de fr ja ru pt it nl pl tr zh fa vi cs id ko uk ar hu ro el sv he da fi sk th hi bg hr nb lt sr sl et ca lv bn ' +
  'is sq mk ka az kk hy mn eu gl ga cy mt sr-Latn zh-Hant ur ta te mr gu kn ml pa ne si km lo my am sw af yo ha'
).split(' ');
