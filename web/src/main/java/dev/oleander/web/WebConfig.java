package dev.oleander.web;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Things shared by all features. */
@Configuration
class WebConfig {

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
