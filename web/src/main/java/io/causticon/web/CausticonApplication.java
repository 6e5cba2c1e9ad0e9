package io.causticon.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts the application. */
@SpringBootApplication(proxyBeanMethods = false)
public class CausticonApplication {

    public static void main(String[] args) {
        SpringApplication.run(CausticonApplication.class, args);
    }
}
