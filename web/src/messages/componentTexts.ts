import english from 'antd/es/locale/en_US';
import type { Locale } from 'antd/es/locale';
import { t } from './words';

/** What the component library says by itself, in the words of the catalogue. Call it once the language is loaded. */
export function componentTexts(): Locale {
  const { DatePicker, TimePicker, Empty, Modal, Popconfirm } = english;

  return {
    ...english,
    global: {
      ...english.global,
      placeholder: t('component.choose'),
      close: t('action.close'),
      show: t('component.show'),
      hide: t('component.hide'),
    },
    Empty: { ...Empty, description: t('component.empty') },
    Modal: {
      ...Modal,
      okText: t('component.ok'),
      cancelText: t('action.cancel'),
      justOkText: t('component.ok'),
    },
    Popconfirm: { ...Popconfirm, okText: t('component.ok'), cancelText: t('action.cancel') },
    ...(DatePicker && {
      DatePicker: {
        ...DatePicker,
        lang: {
          ...DatePicker.lang,
          placeholder: t('component.choose_date'),
          rangePlaceholder: [t('component.start_date'), t('component.end_date')],
        },
      },
    }),
    ...(TimePicker && { TimePicker: { ...TimePicker, placeholder: t('component.choose_time') } }),
  };
}
