package mussel.app;

import java.io.BufferedInputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import mussel.core.language.Messages;
import mussel.core.sheet.SpecSheet;
import mussel.exchange.calc.Calc;
import mussel.exchange.calc.Engine;
import mussel.exchange.file.InFile;
import mussel.exchange.record.Plain;
import mussel.exchange.record.Read;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(
        name = "calc",
        mixinStandardHelpOptions = true,
        description = "Runs one engine: a JSON object in, a JSON object out.")
final class CalcCommand implements Callable<Integer> {
    private static final Messages TEXT = Messages.of(CalcCommand.class);

    @Parameters(
            index = "0",
            paramLabel = "ENGINE",
            description = "drain, leak, verdict, pump, plan, parts, pinion, lash, stack, torque, fill or estimate")
    private String engine;

    @Parameters(index = "1", arity = "0..1", paramLabel = "FILE", description = "the input; standard input without it")
    private Path file;

    @Option(names = "--lines", description = "JSON Lines: an object a line in, one a line out")
    private boolean lines;

    @Option(
            names = "--sheet",
            paramLabel = "FILE",
            description = "a sheet, compact or whole, that plan and fill take what the input leaves out from")
    private Path sheet;

    /** Plans know the yard's own families too. */
    private static Engine planning() {
        List<SpecSheet> families = SheetFolder.load(DataFolder.families()).sheets();
        return Engine.planning(() -> families);
    }

    @Override
    public Integer call() throws IOException {
        PrintStream err = new PrintStream(new FileOutputStream(FileDescriptor.err), true, StandardCharsets.UTF_8);
        Optional<Read<SpecSheet>> own = Optional.ofNullable(sheet).map(SheetFolder::read);
        if (own.isPresent() && own.get().value().isEmpty()) {
            own.get().problems().forEach(p -> err.println(SheetFolder.line(sheet, p)));
            return Calc.REFUSED;
        }
        Engine found = own.flatMap(Read::value)
                .map(s -> Engine.on(s, engine).orElse(null))
                .orElseGet(() -> engine.equals("plan")
                        ? planning()
                        : Engine.named(engine).orElse(null));
        if (found == null) {
            String all = Engine.all().stream().map(Engine::name).collect(Collectors.joining(", "));
            err.println(TEXT.get("calc_command.there_is_no_engine_there_are", engine, all));
            return Calc.REFUSED;
        }
        Optional<String> refused = file == null ? Optional.empty() : InFile.refused(file, Long.MAX_VALUE);
        if (refused.isPresent()) {
            err.println(TEXT.get("calc_command.the_file", Plain.text(file.toString()), refused.get()));
            return Calc.REFUSED;
        }
        try (PrintStream out =
                        new PrintStream(new FileOutputStream(FileDescriptor.out), false, StandardCharsets.UTF_8);
                InputStream in = new BufferedInputStream(file == null ? System.in : Files.newInputStream(file))) {
            Calc calc = new Calc(found, out, err);
            return lines ? calc.lines(in) : calc.single(in);
        }
    }
}
