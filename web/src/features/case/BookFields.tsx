import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import {
  addBook,
  listBooks,
  MOST_BOOK_NAME,
  nameBook,
  openedBook,
  removeBook,
  turnTo,
  type Book,
} from '../../books/index.ts';
import { ActionButton, TextField, UndoBar } from '../../ui/index.ts';

/** Players who share this device: the name of this book, the others, a new one. */
export function BookFields() {
  const { t } = useTranslation();
  const [books, setBooks] = useState(listBooks);
  const [added, setAdded] = useState('');
  const [removed, setRemoved] = useState<Book | null>(null);
  const own = openedBook();
  const putAway = (book: Book, removedAt: number | null) => {
    removeBook(book.id, removedAt);
    setBooks(listBooks());
    setRemoved(removedAt === null ? null : book);
  };
  return (
    <Box w="full">
      <Box maxW="prose" mb="3">
        {t('book.about')}
      </Box>
      <Flex gap="5" wrap="wrap" alignItems="flex-end" mb="3">
        <TextField
          label={t('book.name')}
          value={own.name}
          maxLength={MOST_BOOK_NAME}
          placeholder={t('book.first')}
          onDone={(name) => {
            if (name === own.name || name === '') return;
            nameBook(own.id, name);
            setBooks(listBooks());
          }}
        />
        <TextField label={t('book.newName')} value="" maxLength={MOST_BOOK_NAME} onDone={setAdded} />
        <ActionButton
          onClick={() => {
            if (added !== '') turnTo(addBook(added));
          }}
        >
          {t('book.add')}
        </ActionButton>
      </Flex>
      <Box as="ul" listStyleType="none" data-testid="books">
        {books
          .filter(({ id }) => id !== own.id)
          .map((book) => (
            <Flex as="li" key={book.id} gap="4" alignItems="center" wrap="wrap">
              <Box minW="column">{book.name || t('book.first')}</Box>
              <ActionButton look="plain" onClick={() => turnTo(book)}>
                {t('book.turnTo')}
              </ActionButton>
              {book.id !== '' && (
                <ActionButton look="plain" onClick={() => putAway(book, Date.now())}>
                  {t('book.remove')}
                </ActionButton>
              )}
            </Flex>
          ))}
      </Box>
      {removed && (
        <UndoBar
          key={removed.id}
          text={t('book.removed', { name: removed.name })}
          onUndo={() => putAway(removed, null)}
        />
      )}
    </Box>
  );
}
