# frozen_string_literal: true

require_relative "../support/app_helper"
require "nokogiri"

# Whatever an SVG holds, what is kept of it draws, and neither acts nor fetches nor refers to anything but itself.
class ScrubberTest < Minitest::Test
  include AppHelper

  HOSTILE = [
    "<script>x()</script>",
    "<foreignObject><body xmlns='http://www.w3.org/1999/xhtml'><script>x()</script></body></foreignObject>",
    "<a href='javascript:x()'><rect width='1' height='1'/></a>",
    "<image href='http://elsewhere/a.png'/>",
    "<use href='http://elsewhere/#a'/>",
    "<use xmlns:xlink='http://www.w3.org/1999/xlink' xlink:href='//elsewhere/#a'/>",
    "<rect width='1' height='1' onload='x()' style='background:url(http://elsewhere)'/>",
    "<rect width='1' height='1' fill='url(http://elsewhere#a)' stroke='URL( \"http://elsewhere\" )'/>",
    "<style>@import url(http://elsewhere);</style>",
    "<animate attributeName='href' to='javascript:x()'/>",
    "<set attributeName='onload' to='x()'/>",
    "<!-- <script> -->",
    "<?php x() ?>",
    "<path xml:base='http://elsewhere' d='M0 0'/>",
    "<q:script xmlns:q='http://www.w3.org/1999/xhtml'>x()</q:script>",
    "<filter id='f'><feImage href='http://elsewhere'/></filter>"
  ].freeze
  FINE = [
    "<rect x='1' y='2' width='3' height='4' fill='rgb(1, 2, 3)' stroke='#12677A'/>",
    "<g transform='translate(3 4) rotate(45)'><circle cx='1' cy='1' r='2' fill='url(#shade)'/></g>",
    "<text x='1' y='2' font-family='serif' text-anchor='middle'>Höhe &amp; Tiefe</text>",
    "<use href='#mark'/>",
    "<linearGradient id='shade' gradientTransform='rotate(3)'><stop offset='0.5' stop-color='red'/></linearGradient>"
  ].freeze
  DANGER = /script|onload|javascript|elsewhere|style|foreignObject|animate|<image|<a |php|import/i

  def svg(parts) = "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 9 9'><path id='mark' d='M0 0H9'/>#{parts.join}</svg>"

  def test_of_hostile_pictures_only_what_draws_is_kept
    60.times do |seed|
      random = Random.new(seed)
      parts = (HOSTILE.sample(random.rand(1..6), random:) + FINE.sample(3, random:)).shuffle(random:)
      nested = parts.each_slice(2).map { |some| "<g opacity='0.5'>#{some.join}</g>" }
      kept = Drawings::SafeImage.new(svg(nested)).content
      refute_match DANGER, kept, "seed #{seed}"
      document = Nokogiri.XML(kept) { |options| options.strict.nonet }
      assert_equal told(document), told(Nokogiri.XML(Drawings::SafeImage.new(kept).content)), "seed #{seed}: made safe twice"
      references = document.xpath("//@*[local-name()='href']").map(&:value)
      assert(references.all? { |one| one.start_with?("#") })
      assert_operator document.xpath("//*[local-name()='rect' or local-name()='g' or local-name()='path']").length, :>, 1
    end
  end

  def test_what_is_fine_is_kept_as_it_is
    kept = Nokogiri.XML(Drawings::SafeImage.new(svg(FINE)).content)
    given = Nokogiri.XML(svg(FINE))
    assert_equal told(given), told(kept)
  end

  def told(document) =
    document.xpath("//*").map { |one| [one.name, one.attribute_nodes.to_h { |each| [each.node_name, each.value] }, one.text] }
end
