# frozen_string_literal: true

require "zip"

module Web
  module Families
    module Software
      # A file with software structure in it: Ruby source (one file, or a zip of many), tags in JSON, or XMI.
      class CodeFile
        LIMIT = 28_000_000
        # Of a zip: how many files, and how many bytes all of them have unpacked.
        FILES = 20_000
        UNPACKED = 120_000_000
        TYPES = {
          ".rb" => :ruby, ".zip" => :zip,
          ".json" => :tags, ".tags" => :tags, ".jsonl" => :tags,
          ".xmi" => :xmi, ".xml" => :xmi, ".uml" => :xmi
        }.freeze

        # @return [Boolean] whether a file of that name is one of these
        def self.known?(name) = TYPES.key?(File.extname(name).downcase)

        # @param name [String] of the file, by whose ending it is read
        # @param bytes [String]
        # @raise [Basalt::Mistake] where nothing can be read
        def initialize(name, bytes)
          @type = TYPES[File.extname(name).downcase] or
            raise Basalt::Mistake, "A file to bring in ends in #{TYPES.keys.join(", ")}, not “#{File.extname(name)}”"
          @skipped = []
          @content = send(:"read_#{@type}", name, bytes.dup.force_encoding("UTF-8"))
          raise Basalt::Mistake, "There is no class or module in it#{why}" if !xmi? && @content.all.empty?
        end

        def xmi? = @type == :xmi

        # @return [Array<Array(String, String)>] what was left out, and why
        def skipped = @skipped + @content.skipped

        # @return [Integer] of classes and modules that were found; nil for XMI, which is read as it is taken
        def count = xmi? ? nil : @content.all.length

        # @return [Array<Basalt::Change::Step>] none for XMI
        def steps(set) = xmi? ? [] : Basalt::Software::Reverse::Intake.new(@content, set).steps

        # @param keys [Array<String>, nil] of steps
        # @return [Basalt::Change::Draft]
        def into(draft, keys: nil)
          xmi? ? @content.into(draft) : Basalt::Software::Reverse::Intake.new(@content, draft).into(draft, keys:)
          draft
        end

        # @param folder [String] of Ruby source
        # @return [Hash{String => String}] bytes by path; hidden folders are left out
        def self.folder(folder)
          paths = Dir.glob("**/*.rb", base: folder).sort
          raise Basalt::Mistake, "#{folder} holds more than #{FILES} files" if paths.length > FILES

          paths.to_h { |path| [path, File.binread(File.join(folder, path)).force_encoding("UTF-8")] }
        end

        private

        def why = @skipped.any? || @content.skipped.any? ? ": #{skipped.first.join(" ")}" : ""
        def read_ruby(name, bytes) = Basalt::Software::Reverse::RubySource.read({ name => bytes })
        def read_tags(_name, bytes) = Basalt::Software::Reverse::Tags.read(bytes)
        def read_xmi(_name, bytes) = Basalt::Software::Xmi::Reader.new(bytes)
        def read_zip(_name, bytes) = Basalt::Software::Reverse::RubySource.read(unpacked(bytes))

        # What a zip says of sizes is not believed: no more is unpacked than is allowed. Nothing is written anywhere.
        def unpacked(bytes)
          Zip::File.open_buffer(StringIO.new(bytes)) do |zip|
            entries = zip.entries.select { |entry| entry.file? && entry.name.end_with?(".rb") }
            raise Basalt::Mistake, "The zip holds more than #{FILES} files of Ruby" if entries.length > FILES

            left = UNPACKED
            return entries.filter_map { |entry| taken(entry, left).tap { |found| left -= found.last.bytesize if found } }.to_h
          end
        rescue Zip::Error, Zlib::Error, ArgumentError, EOFError
          raise Basalt::Mistake, "This is not a zip file that can be read"
        end

        def taken(entry, left)
          name = entry.name.dup.force_encoding("UTF-8").scrub("?")
          return (@skipped << [name, "has an odd path"]) && nil if odd?(name)

          content = entry.get_input_stream.read(left + 1).to_s
          raise Basalt::Mistake, "The zip unpacks to more than #{UNPACKED / 1_000_000} MB" if content.bytesize > left

          [name, content.force_encoding("UTF-8")]
        rescue Zip::Error, Zlib::Error
          @skipped << [name, "is damaged"]
          nil
        end

        def odd?(name) = name.start_with?("/", "\\") || name.include?("\0") || name.split(%r{[/\\]}).include?("..")
      end
    end
  end
end
