package dev.oleander.web.api;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The head of the published description of the interface. */
@Configuration
class OpenApiConfig {

    @Bean
    OpenAPI openApi() {
        SecurityScheme basic = new SecurityScheme().type(SecurityScheme.Type.HTTP).scheme("basic");
        return new OpenAPI()
                .info(
                        new Info()
                                .title("Oleander")
                                .version("1")
                                .description(
                                        "Jobs, their reading, plan, motion, proof and releases. "
                                                + "Lengths mm, areas mm2, angles degrees, times s, "
                                                + "feeds mm/min. Errors are RFC 9457 problem details."))
                .components(new Components().addSecuritySchemes("basic", basic))
                .addSecurityItem(new SecurityRequirement().addList("basic"));
    }
}
