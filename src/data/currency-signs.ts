/**
 * CLDR 48.2.0: currency signs, each with the regions (ISO 3166) that pay with it today. Currencies that are written with letters
 * alone are left out. Made by tools/data/currency-signs.mjs.
 */
export const currencySigns: readonly (readonly [sign: string, regions: string])[] = [
  ['$', 'AG AI AR AS AU BB BM BN BQ BR BS BZ CA CC CK CL CO CU CX DG DM DO EC FJ FM GD GU GY HK HM HT IO JM KI KN KY LC LR MH MP MS MX NA NF NI NR NU NZ PA PN PR PW SB SG SR SV TC TK TL TO TT TV TW UM US UY VC VG VI ZW'],
  ['£', 'AC EG FK GB GG GI GS IM JE LB SH SS SY TA'],
  ['¥', 'CN JP'],
  ['֏', 'AM'],
  ['؋', 'AF'],
  ['৳', 'BD'],
  ['฿', 'TH'],
  ['៛', 'KH'],
  ['₡', 'CR'],
  ['₦', 'NG'],
  ['₩', 'KP KR'],
  ['₪', 'IL PS'],
  ['₫', 'VN'],
  ['€', 'AD AT AX BE BG BL CY DE EA EE ES EU FI FR GF GP GR HR IC IE IT LT LU LV MC ME MF MQ MT NL PM PT RE SI SK SM TF VA XK YT'],
  ['₭', 'LA'],
  ['₮', 'MN'],
  ['₱', 'PH'],
  ['₲', 'PY'],
  ['₴', 'UA'],
  ['₵', 'GH'],
  ['₸', 'KZ'],
  ['₹', 'BT IN'],
  ['₺', 'TR'],
  ['₼', 'AZ'],
  ['₽', 'RU'],
  ['₾', 'GE'],
  ['⃀', 'KG'],
];
