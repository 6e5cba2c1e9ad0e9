package io.causticon.web.harness;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.openqa.selenium.Keys;

/**
 * Asks of a page whether everybody can read, touch and reach it: on a laptop, a tablet against the tiles and a phone.
 */
public final class Everybody {

    private static final int[] WIDTHS = {1280, 820, 390};

    /**
     * What is smaller than a thumb, or at the bench than a thumb in a glove; words within a sentence or a table are not
     * meant.
     */
    private static final String SMALL = """
        const least = location.pathname.startsWith('/bench/') ? 48 : 44;
        const small = [];
        if (document.documentElement.scrollWidth > innerWidth + 1) {
            small.push('the page scrolls sideways, ' + document.documentElement.scrollWidth);
        }
        for (const e of document.querySelectorAll('button, a[href], input:not([type=hidden]), select, textarea, summary')) {
            const shown = e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden';
            const within = e.matches('a') && e.closest('p, dd, td') || e.closest('svg, .visually-hidden') || e.matches('.visually-hidden, .skip');
            const label = e.matches('input[type=checkbox], input[type=radio]') && e.closest('label');
            if (shown && !within && (label || e).getBoundingClientRect().height < least - 0.5) {
                small.push(e.localName + ' ' + (e.innerText || e.name || e.id) + ' ' + Math.round(e.getBoundingClientRect().height));
            }
        }
        return small;
        """;

    /**
     * What cannot be read: cut off by its box, or letters of a chart below 11 px; and what does not show that the
     * keyboard is at it.
     */
    private static final String UNSEEN = """
        document.activeElement?.blur();
        const unseen = [];
        const shown = e => e.getClientRects().length > 0 && !e.closest('.visually-hidden, [hidden], .skip');
        for (const e of document.querySelectorAll('body *:not(svg *)')) {
            if (!shown(e) || ![...e.childNodes].some(n => n.nodeType === Node.TEXT_NODE && n.textContent.trim())) {
                continue;
            }
            for (let box = e; box !== document.body; box = box.parentElement) {
                if (['hidden', 'clip'].includes(getComputedStyle(box).overflowX) && box.clientWidth > 1 && box.scrollWidth > box.clientWidth + 1) {
                    unseen.push('cut: ' + e.textContent.trim().slice(0, 40));
                    break;
                }
            }
        }
        for (const t of document.querySelectorAll('svg text')) {
            const svg = t.ownerSVGElement;
            const size = parseFloat(getComputedStyle(t).fontSize) * svg.getBoundingClientRect().width / (svg.viewBox.baseVal.width || 1);
            if (shown(t) && svg.getBoundingClientRect().width > 0 && size < 10.9) {
                unseen.push('small: ' + t.textContent + ' ' + size.toFixed(1));
            }
        }
        // What looks alike is looked at once: every look asks for the styles of the whole page.
        const alike = new Set();
        for (const e of document.querySelectorAll('a[href], button, input:not([type=hidden]), select, textarea, summary')) {
            const look = () => { const s = getComputedStyle(e); return [s.outlineStyle, s.outlineWidth, s.boxShadow, s.borderColor, s.backgroundColor].join(); };
            const like = [e, e.parentElement].map(x => [x.localName, x.getAttribute('class'), x.type, x.ariaInvalid, x.ariaCurrent].join('.')).join(' ');
            if (shown(e) && e.tabIndex >= 0 && !e.disabled && !alike.has(like)) {
                alike.add(like);
                const before = look();
                e.focus();
                if (document.activeElement === e && look() === before) {
                    unseen.push('no focus: ' + e.localName + ' ' + (e.innerText || e.name));
                }
                e.blur();
            }
        }
        return unseen;
        """;

    /** What the rules of axe-core say; it comes with the tools that build the styles. */
    private static final String VIOLATIONS = """
        return axe.run(document, {rules: {'label-content-name-mismatch': {enabled: true}}, resultTypes: ['violations']})
            .then(result => result.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 120)).join(' | ')));
        """;

    private final Browser browser;
    private final String axe;

    public Everybody(Browser browser) {
        this.browser = browser;
        try {
            this.axe = Files.readString(Path.of("../frontend/node_modules/axe-core/axe.min.js"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Fails where the page that is open breaks a rule of axe-core, or at any width scrolls sideways, has what is too
     * small, cut or unmarked.
     */
    public void canUse(String page) {
        browser.script(axe);
        assertThat((List<?>) browser.script(VIOLATIONS)).as(page).isEmpty();
        // As after a key: a browser shows where the keyboard is to those who use one.
        browser.keys(Keys.TAB);
        for (int width : WIDTHS) {
            browser.size(width, 900);
            assertThat((List<?>) browser.script(SMALL))
                    .as(page + " at " + width)
                    .isEmpty();
            assertThat((List<?>) browser.script(UNSEEN))
                    .as(page + " at " + width)
                    .isEmpty();
        }
    }
}
