import { Button } from 'antd';
import { Component, type ReactNode } from 'react';
import { t } from '../messages/words';
import { notices } from './notices';

interface Props {
  /** The address of the page that it stands for; none for something beside one, whose failing is said in passing. */
  page?: string;
  children: ReactNode;
}

/** Says so where a part of the application could not be fetched or failed, and leaves the rest as it is. */
export class PartBoundary extends Component<Props, { hasFailed: boolean }> {
  override state = { hasFailed: false };

  static getDerivedStateFromError(): { hasFailed: boolean } {
    return { hasFailed: true };
  }

  override componentDidCatch(): void {
    if (this.props.page === undefined) {
      notices.refused(t('app.failed'));
    }
  }

  override componentDidUpdate(before: Props): void {
    // Another page has not failed yet.
    if (this.state.hasFailed && before.page !== this.props.page) {
      this.setState({ hasFailed: false });
    }
  }

  override render(): ReactNode {
    const { page, children } = this.props;
    if (!this.state.hasFailed) {
      return children;
    }
    return page !== undefined ? (
      <div className="page-state" role="alert">
        <h1>{t('app.failed')}</h1>
        <Button onClick={() => window.location.reload()}>{t('action.retry')}</Button>
      </div>
    ) : null;
  }
}
