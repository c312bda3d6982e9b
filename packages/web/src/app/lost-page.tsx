import { ButtonLink } from '../ui/button-link.js';
import { Page } from '../ui/page.js';

/** An address that leads nowhere. */
export default function LostPage() {
  return (
    <Page title="Page not found" lead="This address belongs to no page.">
      <ButtonLink to="/" kind="primary">
        Go to Today
      </ButtonLink>
    </Page>
  );
}
