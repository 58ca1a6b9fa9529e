import styles from './fares.module.css';

const fares = [
  ['Quay', '4.20'],
  ['Skerry', '9.80'],
];

export const Fares = ({ texts }) => (
  <>
    <h1>{texts.fares}</h1>
    <table>
      <tbody>
        {fares.map(([to, fare]) => (
          <tr key={to}>
            <td>{to}</td>
            <td className={styles.fare}>{fare}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </>
);
