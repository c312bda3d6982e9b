import { RouterProvider } from 'react-router';
import { router } from './router.js';

/** Every screen, for whoever is signed in. */
export default function Rooms() {
  return <RouterProvider router={router} />;
}
