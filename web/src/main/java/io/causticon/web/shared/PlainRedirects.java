package io.causticon.web.shared;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.springframework.web.servlet.view.RedirectView;

/** Where a form leads on to. Every tap ends so, and nothing has to be set up for it as for a page. */
@Component
class PlainRedirects implements ViewResolver, Ordered {

    private static final String REDIRECT = "redirect:";

    @Override
    public @Nullable View resolveViewName(String name, Locale locale) {
        if (!name.startsWith(REDIRECT)) {
            return null;
        }
        RedirectView there = new RedirectView(name.substring(REDIRECT.length()), true, true, false);
        // Braces in an address are a maker's own.
        there.setExpandUriTemplateVariables(false);
        return there;
    }

    @Override
    public int getOrder() {
        return HIGHEST_PRECEDENCE;
    }
}
