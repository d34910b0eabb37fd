# frozen_string_literal: true

module CommandLine
  # Turns statements into a project document, and back.
  class Convert < Command
    USAGE = "bin/basalt convert FILE --to FILE.json|FILE.basalt"
    SUMMARY = "Statements as a project document with every sheet laid out, or a document as statements."

    def describe(parser)
      super
      parser.on("--to FILE", "where to; the ending says which") { |path| options[:to] = path }
    end

    private

    def act
      to = options[:to] or raise Basalt::Mistake, "Say where to: --to FILE.json or --to FILE.basalt"
      unless %w[.json .basalt].include?(File.extname(to).downcase)
        raise Basalt::Mistake, "A project is written as .json or .basalt, not “#{File.extname(to)}”"
      end

      Files.write_model(to, arranged(model))
      0
    end
  end
end
