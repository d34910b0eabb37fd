# frozen_string_literal: true

require "zip"

module Drawings
  # A zip of images, each becoming a symbol named after its file. What cannot be taken is told
  # and keeps nothing else from being taken.
  class SymbolSet
    MOST = 500
    # Bytes, unpacked, of all files together.
    LIMIT = 20_000_000
    NAME = 80

    # @param file [IO] the zip
    # @raise [Basalt::Mistake] when it is none, or holds nothing that can be taken
    def initialize(file)
      @images = {}
      @refused = []
      @left = LIMIT
      Zip::File.open_buffer(file) { |zip| read(zip) }
      if @images.empty?
        raise Basalt::Mistake, "No symbol could be taken: #{@refused.first ? @refused.first.join(": ") : "the zip is empty"}"
      end
    rescue Zip::Error, Zlib::Error, ArgumentError, EOFError
      raise Basalt::Mistake, "This is not a zip file that can be read"
    end

    # +images+ are SafeImage by name, +refused+ pairs of a file's name and the reason.
    attr_reader :images, :refused

    private

    def read(zip)
      files = zip.entries.select(&:file?).reject { |entry| hidden?(entry.name) }
      raise Basalt::Mistake, "A set holds #{MOST} symbols at most; this zip has #{files.length} files" if files.length > MOST

      files.each { |entry| take(entry) }
    end

    def hidden?(name) = name.split("/").any? { |part| part.start_with?(".", "__") }

    def take(entry)
      name = name(entry)
      return refuse(name, "there are two of this name") if @images.key?(name)

      @images[name] = SafeImage.new(bytes(entry))
    rescue SafeImage::Unfit, Zip::Error, Zlib::Error => e
      refuse(name, e.is_a?(SafeImage::Unfit) ? e.message : "it is damaged")
    end

    # What a zip says of a file's size is not believed: no more is unpacked than is allowed.
    def bytes(entry)
      most = [SafeImage::LIMIT, @left].min
      content = entry.get_input_stream.read(most + 1).to_s
      raise SafeImage::Unfit, "the files are too large together" if content.bytesize > most && most < SafeImage::LIMIT

      @left -= content.bytesize
      content
    end

    def name(entry)
      base = File.basename(entry.name.dup.force_encoding("UTF-8").scrub("?"), ".*").tr("_", " ").strip
      Basalt::Model::Names.short(base.empty? ? "symbol" : base, NAME)
    end

    def refuse(name, reason) = @refused << [name, reason]
  end
end
