# frozen_string_literal: true

module Web
  module Families
    module Cloud
      module Commands
        # Writes the cloud of a file as a service template.
        class Tosca < CommandLine::Command
          USAGE = "bin/basalt tosca FILE.basalt [--to OUT.yaml]"
          SUMMARY = "Nodes, networks, ports and relationships as a TOSCA service template (Simple Profile in YAML 1.3)."

          def describe(parser)
            super
            parser.on("--to FILE", "where to; otherwise it is printed") { |path| options[:to] = path }
          end

          private

          def act
            set = model
            raise Basalt::Mistake, "#{file}: there is nothing of a cloud in it" if set.of_kind(Basalt::Cloud::Kinds::RESOURCE).empty?

            writer = Basalt::Cloud::Tosca::Writer.new(set, set.project || File.basename(file, ".*"))
            writer.left.each { |line| err.puts line }
            options[:to] ? CommandLine::Files.write(options[:to], writer.yaml) : out.print(writer.yaml)
            0
          end
        end
      end
    end
  end
end
