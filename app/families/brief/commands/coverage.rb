# frozen_string_literal: true

module Web
  module Families
    module Brief
      module Commands
        # Tells what meets which requirement of a file, and what is there for none.
        class Coverage < CommandLine::Command
          USAGE = "bin/basalt coverage FILE [--csv]"
          SUMMARY = "What meets which requirement; leaves with 1 where something is met by nothing."

          def describe(parser)
            super
            parser.on("--csv", "requirements against sheets, as CSV") { options[:csv] = true }
          end

          private

          def act
            coverage = Basalt::Brief::Coverage.new(model)
            raise Basalt::Mistake, "#{file}: there are no requirements" if coverage.requirements.empty?

            options[:csv] ? out.print(coverage.csv) : tell(coverage)
            coverage.unmet.empty? ? 0 : 1
          end

          def tell(coverage)
            out.puts "#{percent(coverage.requirements_share)} of #{Basalt::English.count(coverage.wanted.length, 'requirement')} met, " \
                     "#{percent(coverage.things_share)} of #{Basalt::English.count(coverage.things.length, 'thing')} there for one"
            coverage.accounting.each { |sentence| out.puts sentence }
            coverage.requirements.each { |one| out.puts "#{one.name}: #{met(coverage, one)}" }
            out.puts "outside the brief: #{Basalt::English.list(coverage.outside.map(&:name))}" if coverage.outside.any?
          end

          def met(coverage, one)
            by = coverage.met_by(one.id)
            by.empty? ? "met by nothing" : Basalt::English.list(by.map { |thing| coverage.title(thing) })
          end

          def percent(share) = share ? "#{(share * 100).round} %" : "none"
        end
      end
    end
  end
end
