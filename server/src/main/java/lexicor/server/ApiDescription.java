package lexicor.server;

import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The OpenAPI description: every field is there unless it is marked as one that may be absent. */
@Configuration
class ApiDescription {

    @Bean
    OpenApiCustomizer everyFieldIsThere() {
        return api -> {
            api.setInfo(new Info().title("Lexicor").version("1"));
            api.setServers(null);
            api.getComponents().getSchemas().values().forEach(ApiDescription::require);
        };
    }

    private static void require(Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        List<String> required = new ArrayList<>();
        for (Map.Entry<String, Schema> property : schema.getProperties().entrySet()) {
            if (mayBeAbsent(property.getValue())) {
                property.setValue(orNull(property.getValue()));
            } else {
                required.add(property.getKey());
            }
        }
        schema.setRequired(required);
    }

    /** A reference that may be null has to be written as a choice of the two. */
    private static Schema<?> orNull(Schema<?> property) {
        return property.get$ref() == null
                ? property
                : new Schema<>()
                        .oneOf(List.of(new Schema<>().$ref(property.get$ref()), new Schema<>().types(Set.of("null"))));
    }

    private static boolean mayBeAbsent(Schema<?> property) {
        return Boolean.TRUE.equals(property.getNullable())
                || property.getTypes() != null && property.getTypes().contains("null")
                || property.getOneOf() != null
                || property.getAnyOf() != null;
    }
}
