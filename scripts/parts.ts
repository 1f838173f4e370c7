// The Ant Design parts that pages may use.

/** Their styles go out (scripts/styles.ts); a part that is not here would look bare. */
export const PARTS = [
  'Alert',
  'Button',
  'Checkbox',
  'DatePicker',
  'Dropdown',
  'Empty',
  'Form',
  'Input',
  'InputNumber',
  'Menu',
  'Modal',
  'Pagination',
  'Popconfirm',
  'Popover',
  'Progress',
  'Radio',
  'Segmented',
  'Select',
  'Slider',
  'Space',
  'Spin',
  'Switch',
  'Table',
  'Tooltip',
] as const;
