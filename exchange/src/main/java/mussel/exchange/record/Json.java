package mussel.exchange.record;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.MapperFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.PropertyName;
import com.fasterxml.jackson.databind.PropertyNamingStrategies.NamingBase;
import com.fasterxml.jackson.databind.SerializerProvider;
import com.fasterxml.jackson.databind.introspect.Annotated;
import com.fasterxml.jackson.databind.introspect.AnnotatedMember;
import com.fasterxml.jackson.databind.introspect.JacksonAnnotationIntrospector;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.module.SimpleModule;
import com.fasterxml.jackson.databind.ser.std.StdSerializer;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import java.io.IOException;
import java.lang.reflect.RecordComponent;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import mussel.core.language.Messages;
import mussel.core.measure.Given;
import mussel.core.measure.NamedBy;

/** JSON as Mussel writes it: names as in the contract, doubles unrounded, what is not known as null. */
public final class Json {
    private static final Messages TEXT = Messages.of(Json.class);

    /** The most bytes one object may have. */
    public static final int MOST_BYTES = 8 * 1024 * 1024;

    private static final ObjectMapper MAPPER = JsonMapper.builder()
            .enable(JsonParser.Feature.STRICT_DUPLICATE_DETECTION)
            .enable(MapperFeature.ACCEPT_CASE_INSENSITIVE_ENUMS)
            .disable(MapperFeature.AUTO_DETECT_IS_GETTERS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .propertyNamingStrategy(new ContractNames())
            .annotationIntrospector(new GivenNames())
            .addModule(new Jdk8Module())
            .addModule(new SimpleModule().addSerializer(new LowerCaseEnum()))
            .build();

    private static final Pattern OF_A_CLASS = Pattern.compile(
            "\\(?(?:for|through reference chain:?|of type)? ?[`\\[]?(?:com|java|org|mussel)\\.[\\w.$]+[`\\]]?\\)?");

    private Json() {}

    /** The mapper itself, for trees and writing. */
    public static ObjectMapper mapper() {
        return MAPPER;
    }

    /** Reads a tree from UTF-8, or says in a sentence why it is none. */
    public static Read<JsonNode> tree(byte[] utf8) {
        return tree(utf8, MAPPER, "JSON");
    }

    static Read<JsonNode> tree(byte[] utf8, ObjectMapper mapper, String format) {
        if (utf8.length > MOST_BYTES) {
            return Read.refused(TEXT.get("json.is_larger_than_mb_which_is", MOST_BYTES / (1024 * 1024)));
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(utf8))
                    .toString();
            String bare = text.startsWith("\ufeff") ? text.substring(1) : text;
            JsonNode node = mapper.readTree(bare);
            return node == null || node.isMissingNode()
                    ? Read.refused(TEXT.get("json.is_empty_an_object_goes_here"))
                    : Read.of(node);
        } catch (CharacterCodingException e) {
            return Read.refused(TEXT.get("json.is_not_utf_8_text_save"));
        } catch (JsonProcessingException e) {
            return Read.refused(TEXT.get("json.is_not", format, where(e), plain(e)));
        } catch (RuntimeException e) {
            // The YAML library throws its own kinds for what it will not read.
            return Read.refused(TEXT.get("json.is_not_2", format, firstLine(String.valueOf(e.getMessage()))));
        }
    }

    /** What keeps a text from being JSON or YAML, in words that name no class. */
    public static String plain(JsonProcessingException e) {
        String said = firstLine(String.valueOf(e.getOriginalMessage()));
        String plain = OF_A_CLASS.matcher(said).replaceAll("").strip();
        return plain.isEmpty() || plain.equals("null") ? TEXT.get("json.it_is_not_whole") : plain;
    }

    private static String where(JsonProcessingException e) {
        return e.getLocation() == null
                ? ""
                : TEXT.get(
                        "json.line_column",
                        e.getLocation().getLineNr(),
                        e.getLocation().getColumnNr());
    }

    private static String firstLine(String message) {
        int end = message.indexOf('\n');
        String line = end < 0 ? message : message.substring(0, end);
        return line.length() > 160 ? line.substring(0, 160) + "…" : line;
    }

    private static final class ContractNames extends NamingBase {
        private static final long serialVersionUID = 1L;

        @Override
        public String translate(String propertyName) {
            return NamedBy.file(propertyName);
        }
    }

    /** Names a component as its {@link Given} does, where that differs from its Java name. */
    private static final class GivenNames extends JacksonAnnotationIntrospector {
        private static final long serialVersionUID = 1L;

        @Override
        public PropertyName findNameForSerialization(Annotated annotated) {
            if (annotated instanceof AnnotatedMember member
                    && member.getDeclaringClass().isRecord()) {
                for (RecordComponent component : member.getDeclaringClass().getRecordComponents()) {
                    Given given = component.getAnnotation(Given.class);
                    if (component.getName().equals(member.getName())
                            && given != null
                            && !given.name().isEmpty()) {
                        return PropertyName.construct(given.name());
                    }
                }
            }
            return super.findNameForSerialization(annotated);
        }
    }

    @SuppressWarnings("rawtypes")
    private static final class LowerCaseEnum extends StdSerializer<Enum> {
        private static final long serialVersionUID = 1L;

        LowerCaseEnum() {
            super(Enum.class);
        }

        @Override
        public void serialize(Enum value, JsonGenerator out, SerializerProvider provider) throws IOException {
            out.writeString(NamedBy.file((Enum<?>) value));
        }
    }
}
