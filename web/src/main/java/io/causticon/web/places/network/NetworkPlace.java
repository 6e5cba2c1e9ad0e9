package io.causticon.web.places.network;

import io.causticon.web.shared.QrCode;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.server.context.WebServerInitializedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Where others in the network find the application. */
@Component
public class NetworkPlace {

    private final boolean listening;
    private volatile int port;

    NetworkPlace(@Value("${causticon.listen:false}") boolean listening) {
        this.listening = listening;
    }

    @EventListener
    void started(WebServerInitializedEvent event) {
        port = event.getWebServer().getPort();
    }

    public boolean isListening() {
        return listening;
    }

    /** Addresses of its first page, the likeliest first; empty when it listens to this machine alone. */
    public List<String> addresses() {
        return listening
                ? Addresses.ofThisMachine().stream()
                        .map(n -> "https://" + Addresses.inUrl(n) + ":" + port)
                        .toList()
                : List.of();
    }

    /** As a code for a terminal. */
    public String code(String address) {
        return new QrCode(address).text();
    }
}
