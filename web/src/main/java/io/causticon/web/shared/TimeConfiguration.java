package io.causticon.web.shared;

import java.time.Clock;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application. */
@Configuration(proxyBeanMethods = false)
class TimeConfiguration {

    /**
     * @param speed how fast time runs; 1 but for rehearsals, in which an hour at the bench is over in minutes
     * @param from when it began to run so, ISO 8601; the start of the server when empty. A rehearsal that is started
     *     again gives it, or its clock would go back.
     */
    @Bean
    Clock clock(@Value("${causticon.clock-speed:1}") double speed, @Value("${causticon.clock-from:}") String from) {
        Clock real = Clock.systemUTC();
        return speed == 1
                ? real
                : new AcceleratedClock(real, speed, from.isBlank() ? real.instant() : Instant.parse(from));
    }
}
