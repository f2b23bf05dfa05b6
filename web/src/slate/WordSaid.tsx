import { wordNamed } from '@obra/core/glossary';
import { Button, Modal } from 'react-bootstrap';
import { Link } from 'react-router';
import { WordPicture } from './WordPicture';

/** What a word of the trade means, and those that stand near it. */
export function WordSaid({ word, onClose }: { readonly word: string; readonly onClose: () => void }) {
  const of = wordNamed(word);
  if (!of) return null;
  return (
    <Modal show onHide={onClose} animation={false} aria-label={of.word}>
      <Modal.Body>
        <WordPicture word={of.word} />
        <h2 className="size-18">
          {of.word}
          {of.also && <span className="quiet"> {of.also.join(', ')}</span>}
        </h2>
        <p>{of.says}</p>
        <div className="d-flex gap-2 align-items-center flex-wrap">
          {(of.near ?? []).map((n) => (
            <Link key={n} to={`/practice/words?w=${encodeURIComponent(n)}`} onClick={onClose}>
              {n}
            </Link>
          ))}
          <Button variant="outline-dark" className="ms-auto" onClick={onClose}>
            close
          </Button>
        </div>
      </Modal.Body>
    </Modal>
  );
}
