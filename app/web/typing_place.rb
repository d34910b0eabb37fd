# frozen_string_literal: true

module Web
  # Where the next line goes on sheets whose lines stand in order: where somebody pointed, behind what is selected, or behind what the page
  # said last.
  module TypingPlace
    # Places behind what was said, by the page's own ids for that.
    LEFT = Recent.new(2000)
    # Of so many statements before one the newest that was taken counts.
    MOST = 5

    module_function

    # @return [Object, nil] see Basalt::Statements::Context#cursor
    def cursor(draft, sheet, params)
      return unless sheet.notation.scripted?

      spot = params[:follows].to_s.split.first(MOST).lazy.filter_map { |act_id| LEFT.known(act_id) }.first
      return spot.cursor(draft) if spot&.there?(draft)

      y = Float(params[:at].to_s, exception: false)
      behind_id = params[:behind].to_s.match?(Lookup::ID) ? params[:behind] : nil
      sheet.notation.cursor(draft, sheet.id, y: y && y.abs < Acting::FAR ? y : nil, behind_id:)
    end

    # @param cursor [Object, nil] where what was said ended
    def keep(act_id, cursor) = act_id && cursor.respond_to?(:spot) && LEFT.fetch(act_id) { cursor.spot }
  end
end
