/* A page of the libraries that the first screen of Obra stands on, and nothing else: what they alone cost is what its start is measured by. */
import 'bootstrap/dist/css/bootstrap.min.css';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import localforage from 'localforage';
import { createRoot } from 'react-dom/client';
import { Button, Form } from 'react-bootstrap';
import { BrowserRouter, Route, Routes } from 'react-router';
import useSWR, { SWRConfig } from 'swr';
import * as z from 'zod';

const Kept = z.object({ text: z.string() });

function Page() {
  const { data } = useSWR('kept', async () => Kept.safeParse(await localforage.getItem('kept')).data?.text ?? '');
  return (
    <Form>
      <Form.Control id="line" defaultValue={data} />
      <Button>go</Button>
    </Form>
  );
}

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <SWRConfig>
      <BrowserRouter>
        <Routes>
          <Route path="*" element={<Page />} />
        </Routes>
      </BrowserRouter>
    </SWRConfig>,
  );
