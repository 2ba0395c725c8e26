package dev.oleander.web.asset;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Serves what does not change while the application runs, under addresses that change with it. The
 * paths are named one by one: a pattern for all would look for a file behind every link of a page.
 */
@Configuration(proxyBeanMethods = false)
class StaticFilesConfig implements WebMvcConfigurer {

    private static final CacheControl KEPT =
            CacheControl.maxAge(Duration.ofDays(365)).cachePublic();

    private final ScriptModules modules;

    StaticFilesConfig(ScriptModules modules) {
        this.modules = modules;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        VersionResourceResolver common =
                new VersionResourceResolver().addFixedVersionStrategy(modules.version(), "/**");
        serve(registry, "/js/**", "classpath:/static/js/", common);
        VersionResourceResolver byContent =
                new VersionResourceResolver().addContentVersionStrategy("/**");
        serve(registry, "/css/**", "classpath:/static/css/", byContent);
        serve(registry, "/fonts/**", "classpath:/static/fonts/", byContent);
        serve(registry, "/favicon.svg", "classpath:/static/", byContent);
        serve(registry, "/webjars/**", "classpath:/META-INF/resources/webjars/", byContent);
    }

    private static void serve(
            ResourceHandlerRegistry registry,
            String paths,
            String location,
            VersionResourceResolver versions) {
        registry.addResourceHandler(paths)
                .addResourceLocations(location)
                .setCacheControl(KEPT)
                .resourceChain(true)
                .addResolver(versions);
    }
}
