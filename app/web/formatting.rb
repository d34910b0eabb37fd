# frozen_string_literal: true

module Web
  # How numbers, names and times are told in a page, and what a button carries.
  module Formatting
    def counted(...) = Basalt::English.count(...)
    def listed(words) = Basalt::English.list(words)
    def with_article(noun) = "#{Basalt::English.article(noun)} #{noun}"
    def shortened(text, most) = Basalt::Model::Names.short(text.to_s, most)

    # @param share [Float, nil] of one
    # @return [String] such as 67 %
    def percent(share) = share ? "#{(share * 100).round} %" : "–"

    # @return [String] a kind as part of an id
    def dashed(kind) = kind.tr(" ", "-")

    # @return [String] a kind as part of an address
    def in_address(kind) = kind.gsub(" ", "%20")

    # @return [String] what several of a kind are called, above them
    def headed(kind) = Basalt::Model::Catalogue.kind(kind).plural.capitalize

    # @return [String] the attributes of a button or field that does something on the page it stands on
    def does(path, **values)
      vals = values.empty? ? "" : " hx-vals=\"#{h JSON.generate(values)}\""
      "hx-post=\"#{h path}\"#{vals} hx-include=\"#session\" hx-swap=\"none\""
    end

    # @param data [Hash] of plain values
    # @return [String] what an element carries for the page's scripts
    def carries(data) = data.map { |name, value| "data-#{name}=\"#{h(value)}\"" }.join(" ")

    def moment(time) = time.utc.iso8601
    def to_the_minute(time) = time.utc.strftime("%Y-%m-%d %H:%M UTC")

    # @return [String] such as 5 minutes ago
    def ago(time)
      seconds = (Time.now - time).to_i
      case seconds
      when 0..59
        "just now"
      when 60..3599
        "#{counted(seconds / 60, "minute")} ago"
      when 3600..86_399
        "#{counted(seconds / 3600, "hour")} ago"
      else
        "#{counted(seconds / 86_400, "day")} ago"
      end
    end
  end
end
