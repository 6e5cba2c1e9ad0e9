package io.causticon.web.demo;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says where the application is and how to sign in, once it is ready. */
@Component
class StartMessage {

    private final boolean demo;

    StartMessage(@Value("${causticon.demo}") boolean demo) {
        this.demo = demo;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            int port = web.getWebServer().getPort();
            System.out.println("Causticon is at http://localhost:" + port);
            System.out.println(
                    demo
                            ? "Sign in as ines, odd or guest with the password " + DemoWorkshop.PASSWORD + "."
                            : "The first visit makes the owner's account.");
        }
    }
}
