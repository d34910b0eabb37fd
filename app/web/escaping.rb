# frozen_string_literal: true

module Web
  # Text from people on its way into a page.
  module Escaping
    def h(text) = Basalt::Drawing::SVG.escape(text)
    def token = Rack::Protection::AuthenticityToken.token(session)
    def token_field = "<input type=\"hidden\" name=\"token\" value=\"#{h(token)}\">"
  end
end
