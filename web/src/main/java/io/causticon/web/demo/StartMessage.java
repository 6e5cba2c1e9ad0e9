package io.causticon.web.demo;

import io.causticon.web.places.network.NetworkPlace;
import io.causticon.web.security.OpeningCode;
import io.causticon.web.store.account.AccountService;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says where the application is and how to sign in, once it is ready. */
@Component
class StartMessage {

    private final boolean demo;
    private final NetworkPlace network;
    private final AccountService accounts;
    private final OpeningCode opening;

    StartMessage(
            @Value("${causticon.demo}") boolean demo,
            NetworkPlace network,
            AccountService accounts,
            OpeningCode opening) {
        this.demo = demo;
        this.network = network;
        this.accounts = accounts;
        this.opening = opening;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        if (event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null) {
            int port = web.getWebServer().getPort();
            System.out.println("Causticon is at http" + (network.isListening() ? "s" : "") + "://localhost:" + port);
            network.addresses().stream().findFirst().ifPresent(address -> {
                System.out.println("In the workshop's network it is at " + address + ". A camera reads it here:");
                System.out.println(network.code(address));
            });
            if (demo) {
                System.out.println("Sign in as ines, odd or guest with the password " + DemoWorkshop.PASSWORD + ".");
            } else if (accounts.isNew()) {
                System.out.println("The first visit makes the owner's account.");
            }
            if (network.isListening() && accounts.isNew()) {
                System.out.println("From another machine it asks for this code: " + opening.code());
            }
        }
    }
}
