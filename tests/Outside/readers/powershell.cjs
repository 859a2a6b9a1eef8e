// powershell.cjs FOLDER: commands as a JSON list on the standard input; for each the words of every pipeline's commands,
// by a grammar of PowerShell that knows nothing of ours, or "error".
const { Parser, Language } = require(process.argv[2] + '/web-tree-sitter/tree-sitter.cjs');

const commands = JSON.parse(require('fs').readFileSync(0, 'utf8'));

// about_Quoting_Rules: in a verbatim text a doubled mark is one, the typographic ones among them.
const verbatim = (text) => text.slice(1, -1).replace(/['\u2018-\u201B]{2}/g, (two) => two[1]);

function word(node) {
    const texts = node.descendantsOfType('verbatim_string_characters');
    return texts.length === 1 && texts[0].text === node.text ? verbatim(node.text) : node.text;
}

(async () => {
    await Parser.init();
    const parser = new Parser();
    parser.setLanguage(await Language.load(process.argv[2] + '/tree-sitter-powershell/tree-sitter-powershell.wasm'));
    const said = commands.map((command) => {
        const tree = parser.parse(command);
        if (tree.rootNode.hasError) {
            return 'error';
        }
        return tree.rootNode
            .descendantsOfType('command')
            .map((one) => [
                one.childForFieldName('command_name').text,
                ...(one.childForFieldName('command_elements')?.namedChildren ?? [])
                    .filter((child) => child.type !== 'command_argument_sep')
                    .map(word),
            ]);
    });
    console.log(JSON.stringify(said));
})();
