# frozen_string_literal: true

module Web
  module Families
    module Software
      module Commands
        # Writes the software structure of a file as XMI.
        class Xmi < CommandLine::Command
          USAGE = "bin/basalt xmi FILE.basalt [--to OUT.xmi]"
          SUMMARY = "Packages, classes, components, actors and use cases as XMI 2.5.1."

          def describe(parser)
            super
            parser.on("--to FILE", "where to; otherwise it is printed") { |path| options[:to] = path }
          end

          private

          def act
            set = model
            text = Basalt::Software::Xmi::Writer.new(set).document
            interactions = set.of_kind("interaction").length
            err.puts "#{Basalt::English.count(interactions, "interaction")} left out: XMI has none from here" if interactions.positive?
            options[:to] ? CommandLine::Files.write(options[:to], text) : out.print(text)
            0
          end
        end
      end
    end
  end
end
