package io.causticon.web;

import io.causticon.web.places.network.Listening;
import io.causticon.web.shared.start.DataFolder;
import io.causticon.web.shared.start.StartFault;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class CausticonApplication {

    public static void main(String[] args) {
        try {
            create().run(args);
        } catch (RuntimeException e) {
            String folder = Path.of(option(args, "causticon.data", "./data"))
                    .toAbsolutePath()
                    .normalize()
                    .toString();
            Optional<String> words = StartFault.words(e, folder, option(args, "server.port", "8424"));
            System.err.println("causticon: "
                    + words.orElse("It could not start, and it is not known why. What follows helps to find out."));
            if (words.isEmpty()) {
                e.printStackTrace();
            }
            System.exit(1);
        }
    }

    /** As it is started, also by tests. */
    public static SpringApplication create() {
        SpringApplication application = new SpringApplication(CausticonApplication.class);
        application.addListeners(new DataFolder(), new Listening());
        return application;
    }

    private static String option(String[] args, String name, String otherwise) {
        String start = "--" + name + "=";
        return Arrays.stream(args)
                .filter(a -> a.startsWith(start))
                .map(a -> a.substring(start.length()))
                .findFirst()
                .orElse(otherwise);
    }
}
