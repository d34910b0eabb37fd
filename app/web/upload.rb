# frozen_string_literal: true

module Web
  # A file that somebody chose: read once, never beyond its limit, and known by a name that can be shown.
  class Upload
    # @param file [Hash, Object] as RequestGuard let it through
    # @param what [String] the words for what was to be chosen
    # @param limit [Integer] bytes
    # @raise [Basalt::Mistake] when none was chosen, or it is larger
    def initialize(file, limit:, what: "a file")
      raise Basalt::Mistake, "Choose #{what} first" unless Upload.file?(file)

      @file = file[:tempfile]
      @given = file[:filename].to_s.dup.force_encoding("UTF-8").scrub("?")
      raise Basalt::Mistake, "The file is larger than #{limit / 1_000_000} MB" if @file.size > limit
    end

    # @return [Boolean] whether a file was chosen at all
    def self.file?(value) = value.is_a?(Hash) && !value[:tempfile].nil?

    # @return [String]
    def bytes = @bytes ||= @file.read.to_s

    # @return [IO] for what reads piece by piece
    def io = @file

    # @return [String] the file's name, short enough to be shown
    def name(length = 200) = Basalt::Model::Names.short(@given, length)

    # @return [String] its name without folder and ending
    def stem(length = 80) = File.basename(name(length), ".*")

    # @param endings [Array<String>] without the dot
    def ends_with?(*endings) = endings.any? { |ending| @given.downcase.end_with?(".#{ending}") }
  end
end
