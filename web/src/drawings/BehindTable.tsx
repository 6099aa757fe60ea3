import { t } from '../messages/words';
import './Chart.css';

/** What a picture shows, in rows, for who reads rather than sees. */
export interface ChartTable {
  head: string[];
  rows: string[][];
}

/** The table behind a picture, folded until it is asked for. */
export function BehindTable({ table }: { table: ChartTable }) {
  return (
    <details className="chart-table">
      <summary>{t('chart.table')}</summary>
      <div>
        <table>
          <thead>
            <tr>
              {table.head.map((name) => (
                <th key={name} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.map(([first, ...others], at) => (
              <tr key={at}>
                <th scope="row">{first}</th>
                {others.map((value, column) => (
                  <td key={column}>{value}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
