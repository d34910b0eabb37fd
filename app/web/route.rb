# frozen_string_literal: true

module Web
  # One address of the application. +needs+ is what whoever asks for it has to be allowed: to +:see+ or +:edit+ what is
  # there, or to +:own+ it. +makes+ names the changes that it makes, and +answers+ says with what: a +:page+, a +:part+ of one,
  # the +:pieces+ of a sheet that became different, +:json+, a +:file+, or a +:redirect+ to a page.
  Route = Basalt::Value.of(:verb, :path, :needs, :makes, :answers, :handler) do
    self::NEEDS = %i[see edit own].freeze
    self::ANSWERS = %i[page part pieces json file redirect].freeze

    def initialize(**rest)
      super
      raise ArgumentError, "#{path} needs #{needs}" unless self.class::NEEDS.include?(needs)
      raise ArgumentError, "#{path} answers #{answers}" unless self.class::ANSWERS.include?(answers)
    end

    # @return [Array<String>] names of what the address says
    def parameters = path.scan(/:(\w+)/).flatten
  end
end
