package dev.oleander.web.load;

import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Puts the limits and the look at callers where requests come in. */
@Configuration
class LoadConfig {

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> connections() {
        return factory ->
                factory.addContextValves(
                        new BodyLimits(BodyLimits.Limits.USUAL), new CallerWatch());
    }
}
