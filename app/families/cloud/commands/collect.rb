# frozen_string_literal: true

require "io/console"

module Web
  module Families
    module Cloud
      module Commands
        # Reads an account at a provider into an inventory.
        class Collect < CommandLine::Command
          USAGE = "bin/basalt collect --endpoint URL --to inventory.json"
          SUMMARY = "Reads a cloud account into an inventory. BASALT_CLOUD_KEY and BASALT_CLOUD_SECRET hold the credentials; else they " \
                    "are asked for."

          def describe(parser)
            super
            parser.on("--endpoint URL", "where the provider's interface is") { |url| options[:endpoint] = url }
            parser.on("--to FILE", "where to write the inventory") { |path| options[:to] = path }
            parser.separator("\nThe key needs these rights, and no more:\n  #{Collector::RIGHTS.join("\n  ")}")
          end

          private

          def act
            endpoint = options[:endpoint] or raise Basalt::Mistake, "Say where from: --endpoint URL"
            to = options[:to] or raise Basalt::Mistake, "Say where to: --to inventory.json"
            found = Collector.new(endpoint, credential("BASALT_CLOUD_KEY", "Key"), credential("BASALT_CLOUD_SECRET", "Secret")).inventory
            CommandLine::Files.write(to, JSON.pretty_generate(found))
            err.puts "#{Basalt::English.count(found["resources"].length, "resource")} of #{found["account"]["name"]} written to #{to}"
            0
          rescue Collector::Failed => e
            raise Basalt::Mistake, e.message
          end

          # What is typed is not shown.
          def credential(name, words)
            return ENV.fetch(name) if ENV[name]
            raise Basalt::Mistake, "Say #{name}: there is nobody here to ask for the #{words.downcase}" unless $stdin.tty?

            err.print "#{words}: "
            ($stdin.noecho(&:gets) || "").chomp.tap { err.puts }
          end
        end
      end
    end
  end
end
