# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Commands
        # Tells whether one thing of a file can reach another, or who can reach whom.
        class Reach < CommandLine::Command
          USAGE = "bin/basalt reach FILE.basalt [--from A --to B --port 443]"
          SUMMARY = "Whether one thing reaches another, and what decides it; all that is allowed, as CSV, without a question."
          Core = Basalt::Cloud

          def describe(parser)
            super
            parser.on("--from NAME", "who asks") { |name| options[:from] = name }
            parser.on("--to NAME", "who is asked") { |name| options[:to] = name }
            parser.on("--port PORT", "by which port") { |port| options[:port] = port }
            parser.on("--protocol NAME", Core::Kinds::PROTOCOLS, "tcp where nothing is said, udp or icmp") { |name| options[:protocol] = name }
          end

          private

          # @return [Integer] 1 where it cannot be reached
          def act
            set = model
            return table(set) unless options[:from] || options[:to]

            question = Core::Question.new(set, thing(set, :from), thing(set, :to), protocol, port)
            out.puts question.answer
            question.steps.each { |step| out.puts "  #{step.passes ? "+" : "-"} #{step.text}" }
            question.passes? ? 0 : 1
          end

          def table(set)
            out.print(Core::ReachTable.new(set).csv)
            0
          end

          def protocol = options[:protocol] || "tcp"

          def port
            return unless Core::Reach::Traffic::PORTED.include?(protocol)
            raise Basalt::Mistake, "Say by which port: --port 443" unless options[:port]

            Core::TrafficText.ports(options[:port]).to_i
          end

          def thing(set, option)
            name = options[option] or raise Basalt::Mistake, "Say both: --from A --to B"
            found = set.named(name).find { |one| [Core::Kinds::RESOURCE, Core::Kinds::BOUNDARY].include?(one.kind) }
            (found or raise Basalt::Mistake, "#{file}: nothing of a cloud is called “#{name}”").id
          end
        end
      end
    end
  end
end
