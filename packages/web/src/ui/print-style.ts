import { useEffect } from 'react';

/** Rules for the page while a screen is shown. A `<style>` in the document would need a policy that lets anybody add styles; a sheet that a script makes needs none. */
export function usePageStyle(css: string): void {
  useEffect(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(css);
    document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
    return () => {
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((each) => each !== sheet);
    };
  }, [css]);
}
