package io.causticon.web.shared;

import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application. */
@Configuration(proxyBeanMethods = false)
class TimeConfiguration {

    /** @param speed how fast time runs; 1 but for rehearsals, in which an hour at the bench is over in minutes */
    @Bean
    Clock clock(@Value("${causticon.clock-speed:1}") double speed) {
        return speed == 1 ? Clock.systemUTC() : new HurriedClock(Clock.systemUTC(), speed);
    }
}
