# frozen_string_literal: true

require "erb"

module TileLoom
  module Output
    # A page as an SVG file of its own: layers as groups with their titles, text as text with its typefaces inside the
    # file or as outlines, and links where they lead somewhere.
    class SvgFile < Svg
      # text: "text" or "outlines"; elsewhere: {number of a sheet → name of the file beside this one}.
      def initialize(drawing, text: "text", elsewhere: {})
        super(drawing)
        @outlined, @elsewhere = text == "outlines", elsewhere
        @used = Hash.new { |hash, key| hash[key] = +"" }
        @ids = {}
      end

      def to_s
        written = super
        return written if @used.empty?
        written.sub(">", "><style>#{@used.map { |face, characters| rule(face, characters) }.join}</style>")
      end

      private

      # CSS Fonts 4, 4.1.
      def rule(face, characters)
        data = [face.subset(characters.chars.uniq.sort.join)].pack("m0")
        "@font-face{font-family:'#{face.css_family}';font-weight:#{face.weight};font-style:#{face.style};" \
          "src:url(data:font/#{face.compact? ? "otf" : "ttf"};base64,#{data})}"
      end

      def group(node)
        return super unless node.layer
        @out << %(<g id="#{id(node.layer.id)}"><title>#{escape(node.layer.title)}</title>)
        super
        @out << "</g>"
      end

      # A name as XML has it, once in the file.
      def id(text)
        base = "layer-#{text.gsub(/[^A-Za-z0-9_-]/, "-")}"
        number = @ids[base] = (@ids[base] || 0) + 1
        (number == 1) ? base : "#{base}-#{number}"
      end

      # A file beside this one is an address, too (RFC 3986).
      def link(node)
        address = node.address || @elsewhere[node.sheet] or return
        address = ERB::Util.url_encode(address) unless node.address
        @out << %(<a href="#{escape(address)}"><path fill="#000000" fill-opacity="0" d=")
        outline(node.ring, true)
        @out << %("/></a>)
      end

      def text(node)
        runs = node.face.runs(node.string)
        return text_outlines(node) if @outlined || runs.any? { |run| drawn?(run) }
        runs.each { |run| @used[run.face] << run.string }
        super
      end

      def curved_text(node)
        return curved_outlines(node) if @outlined
        if plain_letters?(node, node.letters.first.face)
          node.letters.each { |letter| @used[letter.face] << letter.text }
        end
        super
      end
    end
  end
end
