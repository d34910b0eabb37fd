# frozen_string_literal: true

require "optparse"

module CommandLine
  # What all commands share: options, and reading files.
  class Command
    # Beyond every id that reading a file gives.
    FIRST = 1_000_000_000

    def initialize(arguments, out:, err:)
      @out = out
      @err = err
      @options = {}
      @parser = OptionParser.new { |parser| describe(parser) }
      @arguments = @parser.parse(arguments)
    end

    attr_reader :out, :err, :options

    # @return [Integer] exit status
    def run
      return show_help if options[:help]

      act
    end

    private

    def describe(parser)
      parser.banner = "Usage: #{self.class::USAGE}\n#{self.class::SUMMARY}\n"
      parser.on("-h", "--help", "tell about this command") { options[:help] = true }
    end

    def show_help
      out.puts @parser.help
      0
    end

    # @return [String] the one file that was named
    def file
      return @arguments.first if @arguments.one?

      raise Basalt::Mistake, @arguments.empty? ? "Name a file: #{self.class::USAGE}" : "Name one file, not #{@arguments.length}"
    end

    # @return [Basalt::Change::Draft] with every sheet tidied that was never arranged
    def arranged(set)
      draft = Basalt::Change::Draft.new(set, ids: Files.counter.then { |count| -> { "p#{count.call}" } })
      draft.sheet_list.each do |sheet|
        if sheet.notation.ruled? || draft.placements_on(sheet.id).any? { |placement| placement.box.nil? && placement.route.nil? }
          Basalt::Drawing::Arranger.new(draft, sheet.id).tidy
        end
      end
      draft
    end

    # @return [Basalt::Model::WorkingSet] what the file says
    def model
      Files.model(file)
    end
  end
end
