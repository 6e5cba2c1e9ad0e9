package io.causticon.web.harness;

import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** Starts the application when a test needs it, and gives each test a browser of its own. */
final class ApplicationExtension implements ParameterResolver, AfterEachCallback {

    private static final Namespace NAMESPACE = Namespace.create(ApplicationExtension.class);

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == RunningApplication.class || type == Browser.class || type == Client.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        if (type == RunningApplication.class) {
            return RunningApplication.get();
        }
        if (type == Client.class) {
            return new Client(RunningApplication.get().address());
        }
        Browser browser = new Browser(RunningApplication.get().address());
        context.getStore(NAMESPACE).put(Browser.class, browser);
        return browser;
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Browser browser = context.getStore(NAMESPACE).get(Browser.class, Browser.class);
        if (browser != null) {
            context.getExecutionException().ifPresent(e -> browser.keepPicture(context.getDisplayName()));
            browser.close();
        }
    }
}
