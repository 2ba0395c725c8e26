package dev.oleander.web.api;

import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What calls are given besides what they send. */
@Configuration(proxyBeanMethods = false)
class ApiConfig implements WebMvcConfigurer {

    private final SeenStep.Resolver steps;
    private final Patience.Resolver patience;

    ApiConfig(SeenStep.Resolver steps, Patience.Resolver patience) {
        this.steps = steps;
        this.patience = patience;
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(steps);
        resolvers.add(patience);
    }
}
