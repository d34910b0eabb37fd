# frozen_string_literal: true

module Web
  module Families
    module Network
      module Commands
        # Follows cables from a port of a file, or tells the way from one thing to another.
        class Trace < CommandLine::Command
          USAGE = "bin/basalt trace FILE.basalt \"THING PORT\" | bin/basalt trace FILE.basalt THING --to THING"
          SUMMARY = "Where a port leads, through panels, to the far end; with --to the way through gateways."

          def describe(parser)
            super
            parser.on("--to THING", "the way to it at the logical level") { |name| options[:to] = name }
          end

          private

          def act
            raise Basalt::Mistake, "Name a file and a port: #{USAGE}" unless @arguments.length == 2

            set = CommandLine::Files.model(@arguments.first)
            options[:to] ? way(set) : cables(set)
          end

          def cables(set)
            unit, label = Basalt::Network::Cabling::PortReference.port(set, @arguments.last)
            traces = Basalt::Network::Cabling::Trace.from(set, unit.id, label)
            traces.each do |trace|
              out.puts trace.steps.map { |step| [set.element(step.unit_id).name, step.label].compact.join(" ") }.join(" -> ")
              out.puts trace.why
            end
            traces.any? { |trace| trace.ended == :reached } ? 0 : 1
          end

          def way(set)
            ends = [@arguments.last, options[:to]].map { |name| Basalt::Network::Cabling::PortReference.unit(set, name) }
            trace = Basalt::Network::RouteTrace.new(set, *ends.map(&:id))
            out.puts trace.stopped || trace.ids.map { |id| set.element(id) }.map { |one| one.name || "a link" }.join(" -> ")
            trace.stopped ? 1 : 0
          end
        end
      end
    end
  end
end
