package dev.oleander.web.api;

import dev.oleander.book.BookRow;
import dev.oleander.machine.MachineLibrary;
import dev.oleander.quantity.Numbers;
import dev.oleander.value.Form;
import dev.oleander.value.Value;
import dev.oleander.work.Kinds;
import dev.oleander.work.Work;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverters;
import io.swagger.v3.core.converter.ResolvedSchema;
import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.ComposedSchema;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.security.SecurityRequirement;
import io.swagger.v3.oas.models.security.SecurityScheme;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.springdoc.core.customizers.OpenApiCustomizer;
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

    /** Every value of a stop that can be set, of all kinds of work. */
    private static Schema<?> stopValues() {
        ObjectSchema values = new ObjectSchema();
        values.description(
                "Values of a stop; null takes one back. leadIn and leadOut may be objects, start a pair x, y.");
        for (Work<?, ?> kind : Kinds.all()) {
            for (Value<?> value : kind.stopValues()) {
                values.addProperty(value.word(), schema(value));
            }
        }
        return values;
    }

    private static Schema<?> schema(Value<?> value) {
        String unit = value.unit().isEmpty() ? "" : ", " + value.unit();
        String limits =
                value.form() instanceof Form.Number<?> number
                        ? ", from %s to %s"
                                .formatted(
                                        Numbers.plain(number.least(), 4),
                                        Numbers.plain(number.most(), 4))
                        : "";
        return new StringSchema().description(value.name() + unit + limits).nullable(true);
    }

    /** The rows of books: one of those that the books of the machines have. */
    @Bean
    OpenApiCustomizer rowsOfBooks(MachineLibrary machines) {
        return api -> {
            ComposedSchema any = new ComposedSchema();
            for (Class<?> type : rowTypes(machines)) {
                ResolvedSchema resolved =
                        ModelConverters.getInstance()
                                .readAllAsResolvedSchema(new AnnotatedType(type));
                resolved.referencedSchemas.forEach(api.getComponents()::addSchemas);
                any.addOneOfItem(new Schema<>().$ref(type.getSimpleName()));
            }
            api.getComponents().addSchemas(BookRow.class.getSimpleName(), any);
        };
    }

    private static Set<Class<?>> rowTypes(MachineLibrary machines) {
        return machines.machines().stream()
                .map(machine -> machines.book(machine).form().type())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
