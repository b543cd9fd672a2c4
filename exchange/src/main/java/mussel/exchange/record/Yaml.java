package mussel.exchange.record;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.dataformat.yaml.YAMLMapper;

/** YAML as Mussel reads it: into the same trees as JSON, refused in the same manner. */
public final class Yaml {
    private static final ObjectMapper MAPPER = YAMLMapper.builder()
            .enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
            .build();

    private Yaml() {}

    /** Reads a tree from UTF-8, or says in a sentence why it is none. */
    public static Read<JsonNode> tree(byte[] utf8) {
        return Json.tree(utf8, MAPPER, "YAML");
    }
}
