# frozen_string_literal: true

require "nokogiri"

module TileLoom
  module Type
    # Text with tags for its looks, a small part of HTML: b, i, u, s, sup, sub, span with a colour or a size, p, br, ul,
    # ol and li. Nothing else is read, so that nothing else can come in with it; a line of its own is a paragraph, as in
    # plain text.
    class Markup
      LISTS = %w[ul ol].freeze
      INLINE = %w[b i u s sup sub span].freeze
      KNOWN = [*INLINE, "p", "br", *LISTS, "li"].freeze
      # What each tag may say, and how.
      ATTRIBUTES = {"span" => %w[color font-size], "p" => %w[text-align]}.freeze
      ALIGN = {
        "left" => "left",
        "center" => "centre",
        "centre" => "centre",
        "right" => "right",
        "justify" => "justify"
      }.freeze
      COLOUR = /\A#(\h{3}|\h{6})\z/
      SIZE = /\A(\d{1,4}(?:\.\d{1,3})?)pt\z/
      MOST_DEPTH, MOST_NODES = 20, 20_000
      BULLET = "•"

      # string: with tags; base: the TextStyle that it begins in; sizes: by which sizes in it are multiplied (a text
      # that was made smaller to fit); faces: gives the FaceStack that is the bold or italic one of a FaceStack, or nil.
      def initialize(string, base:, faces:, scale: 1.0, path: nil)
        @string, @base, @faces, @scale, @path = string, base, faces, scale, path
      end

      # Paragraph list. Refusal for what is no tag of these, or not closed.
      def paragraphs
        @found, @nodes, @without = [], 0, []
        start(nil)
        walk(root, @base, 0, nil)
        @found.reject { |paragraph| paragraph.equal?(@found.last) && paragraph.pieces.empty? && @found.length > 1 }
      end

      # Which looks the typeface has not, in words, once the paragraphs were asked for.
      attr_reader :without

      # Plain text as it has to be written between tags.
      def self.escape(string) = string.to_s.gsub("&", "&amp;").gsub("<", "&lt;").gsub(">", "&gt;")

      private

      def refuse(code, **values) = raise(Refusal.new(code, at: @path, **values))

      # Nokogiri neither loads what a document points to nor puts entities in.
      def root
        text = @string.gsub("&nbsp;", "\u00A0").gsub("&shy;", "\u00AD")
        refuse("type.markup_entities") if text.match?(/<!|<\?/)
        Nokogiri.XML("<text>#{text}</text>") { |options| options.strict.nonet }.root
      rescue Nokogiri::XML::SyntaxError => error
        refuse(
          "type.markup_unclosed",
          trouble: error.message.to_s.lines.first.to_s.strip.sub(/\A\d+:\d+: \w+: /, "")[0, 120]
        )
      end

      def start(align, mark: nil, level: 0) =
        @found << Paragraph.new(pieces: [], align: align, mark: mark, level: level)

      def walk(node, style, depth, list)
        refuse("type.markup_deep", most: MOST_DEPTH) if depth > MOST_DEPTH
        node.children.each_with_index do |child, index|
          refuse("type.markup_long", most: MOST_NODES) if (@nodes += 1) > MOST_NODES
          (child.text? || child.cdata?) ? string(child, style, list) : tag(child, style, depth, list, index)
        end
      end

      # Line ends make paragraphs, but in a list and between its items.
      def string(node, style, list)
        text = node.text
        text = text.delete_prefix("\n") if block?(node.previous_element)
        text = text.delete_suffix("\n") if block?(node.next_element)
        return if text.strip.empty? && text.include?("\n") && (list || beside_block?(node))
        lines = text.split("\n", -1)
        lines.each_with_index do |line, index|
          if index.positive?
            list ? line = " #{line}" : start(@found.last.align)
          end
          @found.last.pieces << [line, style] unless line.empty?
        end
      end

      def beside_block?(node) = [node.previous_element, node.next_element].any? { |other| block?(other) }

      def block?(node) = !node.nil? && (node.name == "p" || LISTS.include?(node.name))

      def tag(node, style, depth, list, index)
        unless node.element? && KNOWN.include?(node.name)
          refuse("type.markup_tag", tag: node.name[0, 30], known: KNOWN.join(", "))
        end
        case node.name
        when "br"
          says(node)
          start(@found.last.align, level: @found.last.level)
        when "p"
          block(ALIGN[says(node)["text-align"]]) { walk(node, style, depth + 1, list) }
        when *LISTS
          says(node)
          items(node, style, depth, (list || 0) + 1)
        when "li"
          refuse("type.markup_item")
        else
          walk(node, styled(node, style), depth + 1, list)
        end
      end

      # A paragraph of its own, after which another begins.
      def block(align, **more)
        @found.pop if bare?
        start(align, **more)
        yield
        start(nil) unless bare?
      end

      # Was nothing said yet in the last paragraph?
      def bare? = @found.last.pieces.empty? && @found.last.mark.nil?

      def items(node, style, depth, level)
        refuse("type.markup_deep", most: MOST_DEPTH) if depth > MOST_DEPTH
        number = 0
        node.children.each do |child|
          next if child.text? && child.text.strip.empty?
          refuse("type.markup_item") unless child.element? && child.name == "li"
          says(child)
          number += 1
          mark = (node.name == "ol") ? "#{number}." : BULLET
          block(nil, mark: mark, level: level) { walk(child, style, depth + 2, level) }
        end
      end

      # {property → value} of the declarations of a tag's style.
      def says(node)
        extra = node.attribute_nodes.map(&:name) - ["style"]
        refuse("type.markup_attribute", tag: node.name, name: extra.first[0, 30]) if extra.any?
        allowed = ATTRIBUTES.fetch(node.name, [])
        node["style"]
          .to_s
          .split(";")
          .map(&:strip)
          .reject(&:empty?)
          .to_h do |declaration|
            name, value = declaration.split(":", 2).map { |part| part.to_s.strip }
            unless allowed.include?(name) && good?(name, value.to_s)
              refuse("type.markup_style", tag: node.name, declaration: declaration[0, 60])
            end
            [name, value]
          end
      end

      def good?(name, value)
        case name
        when "color"
          value.match?(COLOUR)
        when "font-size"
          value.match?(SIZE) && value.to_f.between?(0.5, 1000)
        else
          ALIGN.key?(value)
        end
      end

      def styled(node, style)
        said = says(node)
        case node.name
        when "b"
          face(style, "bold", bold: true)
        when "i"
          face(style, "italic", italic: true)
        when "u"
          style.with(underlined: true)
        when "s"
          style.with(struck: true)
        when "sup"
          style.superscript
        when "sub"
          style.subscript
        else
          spanned(style, said)
        end
      end

      def spanned(style, said)
        colour = said["color"]&.downcase
        colour = "##{colour[1..].each_char.map { |digit| digit * 2 }.join}" if colour&.length == 4
        size = said["font-size"]&.to_f
        style.with(**{colour: colour, size_pt: size && size * @scale}.compact)
      end

      def face(style, name, **wanted)
        found = @faces.call(style.face, **wanted)
        @without |= [name] unless found
        found ? style.with(face: found) : style
      end
    end
  end
end
