# frozen_string_literal: true

module Web
  module Families
    module Data
      module Commands
        # Writes the tables of a file as SQL.
        class Sql < CommandLine::Command
          USAGE = "bin/basalt sql FILE.basalt [--dialect postgresql|sqlite|mariadb|iso] [--rows N] [--to FILE.sql]"
          SUMMARY = "The tables of a file as SQL that loads."
          POSTGRESQL = "postgresql"
          DIALECTS = [POSTGRESQL, *Basalt::Data::Physical::Engine.all.map(&:name)].freeze

          def describe(parser)
            super
            parser.on("--dialect NAME", DIALECTS, DIALECTS.join(", ")) { |name| options[:dialect] = name }
            parser.on("--rows N", Integer, "sample rows for each table behind it, for PostgreSQL") { |count| options[:rows] = count }
            parser.on("--to FILE", "where to; otherwise it is printed") { |path| options[:to] = path }
          end

          private

          def act
            script = written(tabled(model))
            options[:to] ? CommandLine::Files.write(options[:to], script) : out.print(script)
            0
          end

          # What the engine cannot hold is told beside.
          def written(set)
            return postgresql(set) if options.fetch(:dialect, POSTGRESQL) == POSTGRESQL

            engine = Basalt::Data::Physical::Engine.named(options[:dialect])
            script = Basalt::Data::Physical::EngineScript.new(set, nil, engine, Basalt::Data::Physical::AgreedTypes.of(set, engine))
            script.losses.each { |one| err.puts "#{file}: #{engine.title} cannot hold #{one.words}" }
            script.text
          end

          def postgresql(set)
            script = Basalt::Data::Physical::Script.new(set).text
            return script unless options[:rows]

            rows = Basalt::Data::Physical::Samples::Rows.new(set, count: options[:rows])
            rows.told.each { |words| err.puts "#{file}: #{words}" }
            "#{script}\n#{rows.sql}"
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
