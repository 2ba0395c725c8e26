package dev.oleander.web.api;

import dev.oleander.web.job.EditField;
import dev.oleander.web.job.StopField;
import dev.oleander.web.job.WireField;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The head of the published description of the interface. */
@Configuration
class OpenApiConfig {

    /** Name of the schema of a stop's values. */
    static final String STOP_VALUES = "StopValues";

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
                .components(
                        new Components()
                                .addSecuritySchemes("basic", basic)
                                .addSchemas(STOP_VALUES, stopValues()))
                .addSecurityItem(new SecurityRequirement().addList("basic"));
    }

    /** Every value of a stop that can be set, on sheets and on the wire machine. */
    private static Schema<?> stopValues() {
        ObjectSchema values = new ObjectSchema();
        values.description(
                "Values of a stop; null takes one back. leadIn and leadOut may be objects, start a pair x, y.");
        for (EditField field : StopField.values()) {
            describe(values, field);
        }
        for (EditField field : WireField.values()) {
            describe(values, field);
        }
        return values;
    }

    private static void describe(ObjectSchema values, EditField field) {
        values.addProperty(
                field.word(), new StringSchema().description(field.label()).nullable(true));
    }
}
