# frozen_string_literal: true

module CommandLine
  # Writes the tables of a file as SQL.
  class Sql < Command
    USAGE = "bin/basalt sql FILE.basalt [--dialect postgresql] [--to FILE.sql]"
    SUMMARY = "The tables of a file as SQL that loads."
    DIALECTS = %w[postgresql].freeze

    def describe(parser)
      super
      parser.on("--dialect NAME", DIALECTS, "postgresql") { |name| options[:dialect] = name }
      parser.on("--to FILE", "where to; otherwise it is printed") { |path| options[:to] = path }
    end

    private

    def act
      set = model
      raise Basalt::Mistake, "#{file}: there are no tables; bin/basalt derive makes them from entities" if set.of_kind("table").empty?

      script = Basalt::Data::Physical::Script.new(set).text
      options[:to] ? Files.write(options[:to], script) : out.print(script)
      0
    end
  end
end
