package io.causticon.web.places.bench;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The first-aid card as a page of its own: open to everybody, and kept by the browser. */
@Controller
class SplashController {

    @GetMapping("/splash")
    String splash() {
        return "bench/splash";
    }
}
