# frozen_string_literal: true

module Web
  module Families
    module Data
      module Commands
        # Writes the tables of a file as SQL.
        class Sql < CommandLine::Command
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
            script = Basalt::Data::Physical::Script.new(tabled(model)).text
            options[:to] ? CommandLine::Files.write(options[:to], script) : out.print(script)
            0
          end

          # Entities alone are derived from as it goes.
          def tabled(set)
            return set if set.of_kind("table").any?
            raise Basalt::Mistake, "#{file}: there are neither tables nor entities" if set.of_kind("entity").empty?

            draft = Basalt::Change::Draft.new(set)
            sheet_id = Basalt::Statements::OpenSheet.of(Basalt::Statements::Context.new(draft), "Tables", "tables")
            Basalt::Data::Logical::Derivation.new(draft, sheet_id:).into(draft)
            err.puts "#{file} holds no tables: #{Basalt::English.count(draft.of_kind("table").length,
                                                                       "table")} derived from its entities; bin/basalt derive keeps them"
            draft
          end
        end
      end
    end
  end
end
