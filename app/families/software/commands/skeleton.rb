# frozen_string_literal: true

require "fileutils"

module Web
  module Families
    module Software
      module Commands
        # Writes the classes of a file as what is to be filled in.
        class Skeleton < CommandLine::Command
          USAGE = "bin/basalt skeleton FILE.basalt --to DIR"
          SUMMARY = "Classes in Ruby with RBS signatures, and a JSON Schema of their data."

          def describe(parser)
            super
            parser.on("--to DIR", "the folder to write to; files that are there already stay") { |path| options[:to] = path }
          end

          private

          def act
            to = options[:to] or raise Basalt::Mistake, "Say where to: --to DIR"
            set = model
            classes = set.of_kind("class")
            raise Basalt::Mistake, "#{file}: there is no class in it" if classes.empty?

            files = Basalt::Software::Skeleton::Ruby.new(set, classes).files
            files = files.merge("schema.json" => Basalt::Software::Skeleton::JsonSchema.new(set, classes).text)
            there, fresh = files.partition { |name, _| File.exist?(File.join(to, name)) }
            fresh.each { |name, text| write(File.join(to, name), text) }
            there.each { |name, _| err.puts "#{name} is there already and stays" }
            err.puts "#{Basalt::English.count(fresh.length, "file")} written to #{to}"
            0
          end

          def write(path, text)
            FileUtils.mkdir_p(File.dirname(path))
            CommandLine::Files.write(path, text)
          rescue SystemCallError => e
            raise Basalt::Mistake, "#{path} cannot be written: #{e.message}"
          end
        end
      end
    end
  end
end
