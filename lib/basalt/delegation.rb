# frozen_string_literal: true

module Basalt
  # Hands calls on to what an object holds. The arguments are written out: much of it is called for every line of a sheet, and Ruby's
  # Forwardable would make a list of them each time.
  module Delegation
    # @param names [Array<Symbol>] methods that take no block
    # @param to [Symbol] what answers: an instance variable or a method
    # @param from [Module, nil] whose methods they are; without it they take no arguments
    def delegate(*names, to:, from: nil)
      names.each do |name|
        taken = from ? arguments(from.instance_method(name).parameters) : ""
        class_eval "def #{name}(#{taken}) = #{to}.#{name}(#{taken})", __FILE__, __LINE__
      end
    end

    private

    # @param parameters [Array] (see Method#parameters)
    def arguments(parameters)
      parameters.all? { |type, _| type == :req } ? parameters.each_index.map { |index| "given_#{index}" }.join(", ") : "..."
    end
  end
end
