package io.causticon.web.places.network;

import io.causticon.web.shared.QrCode;
import java.io.IOException;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How a tablet or a phone gets to this application. */
@Controller
class NetworkController {

    private final NetworkPlace place;
    private final boolean own;
    private final Certificates certificates;

    NetworkController(
            NetworkPlace place,
            @Value("${causticon.certificate:}") String given,
            @Value("${causticon.data}") String folder) {
        this.place = place;
        this.own = given.isEmpty();
        this.certificates = new Certificates(Path.of(folder).toAbsolutePath().normalize());
    }

    @GetMapping("/network")
    String show(Model model) {
        List<String> addresses = place.addresses();
        model.addAttribute("listening", place.isListening());
        model.addAttribute("addresses", addresses);
        model.addAttribute("own", own);
        if (!addresses.isEmpty()) {
            QrCode code = new QrCode(addresses.get(0));
            model.addAttribute("qrPath", code.path());
            model.addAttribute("qrSize", code.size());
        }
        return "network/network";
    }

    /** What a device shows of itself when the server is gone; it is kept there. */
    @GetMapping("/offline")
    String offline() {
        return "network/offline";
    }

    /** The certificate that signs, to be trusted on a device. It is no secret: every visitor is shown it. */
    @GetMapping("/causticon.crt")
    ResponseEntity<String> certificate() throws GeneralSecurityException, IOException {
        if (!place.isListening() || !own) {
            return ResponseEntity.notFound().build();
        }
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/x-x509-ca-cert"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"causticon.crt\"")
                .body(certificates.signingText());
    }
}
