import { Box } from '@chakra-ui/react';
import { useTranslation } from 'react-i18next';
import { Select } from '../ui/index.ts';
import { listBooks, openedBook, turnTo } from './books.ts';

/** Whose book is open, and the way to another. */
export default function BookChoice() {
  const { t } = useTranslation();
  const books = listBooks();
  return (
    <Box px="2" pb="2" data-testid="book">
      <Select
        label={t('book.open')}
        value={openedBook().id}
        plain={books.map(({ id, name }) => ({ value: id, label: name || t('book.first') }))}
        onChange={(id) => {
          const book = books.find((each) => each.id === id);
          if (book) turnTo(book);
        }}
      />
    </Box>
  );
}
