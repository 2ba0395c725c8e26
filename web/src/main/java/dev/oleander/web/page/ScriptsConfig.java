package dev.oleander.web.page;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/** Serves the browser's modules under their common version. */
@Configuration(proxyBeanMethods = false)
class ScriptsConfig implements WebMvcConfigurer {

    private static final Duration KEPT = Duration.ofDays(365);

    private final ScriptModules modules;

    ScriptsConfig(ScriptModules modules) {
        this.modules = modules;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/js/**")
                .addResourceLocations("classpath:/static/js/")
                .setCacheControl(CacheControl.maxAge(KEPT).cachePublic())
                .resourceChain(true)
                .addResolver(
                        new VersionResourceResolver()
                                .addFixedVersionStrategy(modules.version(), "/**"));
    }
}
